import type { HeldBy } from '@brackenfell/core/old-parts/held';
import { LIVE_STATES } from '@brackenfell/core/slip/slip-states';
import { HELD_STATES } from '@brackenfell/core/authenticity/batch-states';
import { sql, type InferResult, type Insertable, type Updateable } from 'kysely';
import { gapsOfLine } from './gap-store.ts';
import { recordedAfter } from '../history/store.ts';
import type { JudgementTable, SlipLineTable } from '../db/tables/counter.ts';
import type { Database, Writing } from '../db/database.ts';

/** The lines that stand on a slip, each with what was told of it last. */
export const linesOf = (db: Database, slipId: string) =>
  db
    .selectFrom('slip_line')
    .innerJoin('part', 'part.id', 'slip_line.part_id')
    .innerJoin('maker', 'maker.id', 'part.maker_id')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'part.id').on('part_name.kind', 'in', ['catalogue', 'oe']),
    )
    .leftJoinLateral(
      (eb) =>
        eb
          .selectFrom('judgement')
          .innerJoin('staff', 'staff.id', 'judgement.staff_id')
          .leftJoin('release', 'release.judgement_id', 'judgement.id')
          .leftJoin('staff as supervisor', 'supervisor.id', 'release.supervisor_id')
          .select([
            'judgement.id as judgement_id',
            'release.reason as release_reason',
            'release.at as released_at',
            'supervisor.name as released_by',
            'judgement.verdict',
            'judgement.reason',
            'judgement.findings',
            'judgement.set_up',
            'judgement.at',
            'staff.name as judged_by',
          ])
          .whereRef('judgement.slip_line_id', '=', 'slip_line.id')
          .orderBy('judgement.id', 'desc')
          .limit(1)
          .as('latest'),
      (join) => join.onTrue(),
    )
    .leftJoin('batch', 'batch.id', 'slip_line.batch_id')
    .leftJoin('seller', 'seller.id', 'batch.seller_id')
    .leftJoin('stock', 'stock.part_id', 'slip_line.part_id')
    .leftJoin('price', 'price.part_id', 'slip_line.part_id')
    .select((eb) => [
      'slip_line.id',
      'slip_line.kind',
      'slip_line.batch_id',
      'batch.code as batch_code',
      'batch.state as batch_state',
      'seller.name as batch_seller',
      'batch.on_hand as batch_on_hand',
      'stock.on_hand',
      'price.pack_of',
      // Of the same part, so many are on the shelf that may not be sold.
      eb
        .selectFrom('batch as other')
        .select((held) => held.fn.coalesce(held.fn.sum<string>('other.on_hand'), held.val('0')).as('held'))
        .whereRef('other.part_id', '=', 'slip_line.part_id')
        .where('other.state', 'in', HELD_STATES)
        .where('other.on_hand', '>', 0)
        .as('held_on_shelf'),
      // And so many are kept for other slips that are ready, within their days.
      eb
        .selectFrom('slip_line as elsewhere')
        .innerJoin('slip as ready', 'ready.id', 'elsewhere.slip_id')
        .select((kept) => kept.fn.coalesce(kept.fn.sum<string>('elsewhere.quantity'), kept.val('0')).as('kept'))
        .whereRef('elsewhere.part_id', '=', 'slip_line.part_id')
        .whereRef('elsewhere.slip_id', '<>', 'slip_line.slip_id')
        .where('elsewhere.kind', '=', 'sale')
        .where('elsewhere.removed_at', 'is', null)
        .where('ready.state', '=', 'ready')
        .where(sql<boolean>`ready.held_until >= current_date`)
        .as('kept_for_others'),
      // Why a reading of old parts holds parts of its kind.
      sql<{
        says: string;
        by: HeldBy;
      } | null>`(select json_build_object('says', s.held_says, 'by', s.held_by) from slip s
        where s.id in (${eb.ref('slip_line.slip_id')},
                       (select own.split_from_id from slip own where own.id = ${eb.ref('slip_line.slip_id')}))
          and ${eb.ref('part.kind')} = any(s.held_kinds) limit 1)`.as('held_by_reading'),
      'slip_line.part_id',
      'part.kind as part_kind',
      'slip_line.quantity',
      'slip_line.unit_price_minor',
      'slip_line.positions',
      'slip_line.review',
      'part_name.printed',
      'maker.name as maker',
      'latest.judgement_id',
      'latest.release_reason',
      'latest.released_at',
      'latest.released_by',
      'latest.verdict',
      'latest.reason',
      'latest.findings',
      'latest.set_up',
      gapsOfLine.as('gaps'),
      'latest.at as judged_at',
      'latest.judged_by',
    ])
    .where('slip_line.slip_id', '=', slipId)
    .where('slip_line.removed_at', 'is', null)
    .orderBy('slip_line.id');

export type LineRow = InferResult<ReturnType<typeof linesOf>>[number];
export const readLines = (db: Database, slipId: string): Promise<LineRow[]> => linesOf(db, slipId).execute();

/** Every judgement of a slip's lines, the latest first: what was told stays as told. */
export const judgementsOf = (db: Database, slipId: string) =>
  db
    .selectFrom('judgement')
    .innerJoin('slip_line', 'slip_line.id', 'judgement.slip_line_id')
    .innerJoin('staff', 'staff.id', 'judgement.staff_id')
    .select([
      'judgement.slip_line_id',
      'judgement.verdict',
      'judgement.reason',
      'judgement.at',
      'judgement.cause',
      'staff.name as by',
    ])
    .where('slip_line.slip_id', '=', slipId)
    .orderBy('judgement.id', 'desc');

export type ToldRow = InferResult<ReturnType<typeof judgementsOf>>[number];

/** A line that stands on a slip. */
export async function findLine(db: Database, lineId: string) {
  return db
    .selectFrom('slip_line')
    .selectAll()
    .where('id', '=', lineId)
    .where('removed_at', 'is', null)
    .executeTakeFirst();
}

/** What was told of a line when it was last judged. */
export async function readTold(db: Database, slipId: string, lineId: string) {
  const row = await db
    .selectFrom('judgement')
    .innerJoin('slip_line', 'slip_line.id', 'judgement.slip_line_id')
    .select('judgement.findings')
    .where('slip_line.id', '=', lineId)
    .where('slip_line.slip_id', '=', slipId)
    .orderBy('judgement.id', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row?.findings;
}

/** Says which batch a line's pieces are from, where nobody has said so yet and it is not sold. */
export async function nameBatch(trx: Writing, lineId: string, batchId: string): Promise<void> {
  await trx
    .updateTable('slip_line')
    .set({ batch_id: batchId })
    .where('id', '=', lineId)
    .where('batch_id', 'is', null)
    .where('slip_id', 'in', (eb) =>
      eb
        .selectFrom('slip')
        .select('slip.id')
        .where('slip.state', 'in', [...LIVE_STATES]),
    )
    .execute();
}

interface NewLine {
  readonly line: Insertable<SlipLineTable>;
  readonly staffId: string;
  /** What was told of it; left out where there was no engine to judge for. */
  readonly judgement: Omit<Insertable<JudgementTable>, 'slip_line_id'> | undefined;
  readonly after: object;
}

/** Puts a line on a slip with what was told of it and who put it there: one statement. */
export async function addLineRow(trx: Writing, { line, staffId, judgement, after }: NewLine): Promise<string> {
  const { id } = await trx
    .with('line', (db) => db.insertInto('slip_line').values(line).returning('id'))
    .with('told', () => judgedAfter('line', judgement))
    .with('written', () => recordedAfter('line', { staffId, subject: 'slip line', action: 'add', after }))
    .selectFrom('line')
    .select('id')
    .executeTakeFirstOrThrow();
  return id;
}

const judgedAfter = (made: string, told: NewLine['judgement']) =>
  told === undefined
    ? sql<{ id: string }>`(select id from ${sql.ref(made)} where false)`
    : sql<{ id: string }>`(
          insert into judgement (slip_line_id, staff_id, catalogue_version, rules_version, cause, verdict, reason, findings,
                                 set_up)
          select id, ${told.staff_id}::bigint, ${told.catalogue_version}::bigint, ${told.rules_version}::int, ${told.cause}::text,
                 ${told.verdict}::text, ${told.reason}::text, ${told.findings}::jsonb,
                 ${told.set_up ?? null}::jsonb from ${sql.ref(made)} returning id)`;

export async function changeLineRow(trx: Writing, lineId: string, change: Updateable<SlipLineTable>): Promise<void> {
  await trx.updateTable('slip_line').set(change).where('id', '=', lineId).execute();
}

/** Takes a line off its slip or puts it back; false where there is no such line. */
export async function setRemoved(trx: Writing, slipId: string, lineId: string, removed: boolean): Promise<boolean> {
  const changed = await trx
    .updateTable('slip_line')
    .set({ removed_at: removed ? new Date() : null })
    .where('id', '=', lineId)
    .where('slip_id', '=', slipId)
    .where('removed_at', removed ? 'is' : 'is not', null)
    .returning('id')
    .executeTakeFirst();
  return changed !== undefined;
}

export async function addJudgement(trx: Writing, judgement: Insertable<JudgementTable>): Promise<void> {
  await trx.insertInto('judgement').values(judgement).execute();
}
