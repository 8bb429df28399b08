import { recordChange } from '../history/store.ts';
import { sql, type Updateable } from 'kysely';
import type { Database, Writing } from '../db/database.ts';
import type { SlipTable } from '../db/tables/counter.ts';
import type { SlipKept } from '@brackenfell/contract/slip';
import type { SlipState } from '@brackenfell/core/slip/slip-states';
import { trouble, type Trouble } from '../http/trouble.ts';

export async function readSlip(db: Database, slipId: string) {
  return db
    .selectFrom('slip')
    .leftJoin('engine', 'engine.id', 'slip.engine_id')
    .leftJoin('maker', 'maker.id', 'engine.maker_id')
    .leftJoin('staff', 'staff.id', 'slip.holder_id')
    .selectAll('slip')
    .select(['engine.code as engine_code', 'maker.name as engine_maker', 'staff.name as holder'])
    .where('slip.id', '=', slipId)
    .executeTakeFirst();
}
export type SlipRow = NonNullable<Awaited<ReturnType<typeof readSlip>>>;

export async function readLines(db: Database, slipId: string) {
  return db
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
    .select((eb) => [
      'slip_line.id',
      'slip_line.kind',
      'slip_line.batch_id',
      'batch.code as batch_code',
      'batch.state as batch_state',
      'seller.name as batch_seller',
      'batch.on_hand as batch_on_hand',
      'stock.on_hand',
      // Of the same part, so many are on the shelf that may not be sold.
      eb
        .selectFrom('batch as other')
        .select((held) => held.fn.coalesce(held.fn.sum<string>('other.on_hand'), held.val('0')).as('held'))
        .whereRef('other.part_id', '=', 'slip_line.part_id')
        .where('other.state', 'in', ['held', 'confirmed'])
        .where('other.on_hand', '>', 0)
        .as('held_on_shelf'),
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
      'latest.at as judged_at',
      'latest.judged_by',
    ])
    .where('slip_line.slip_id', '=', slipId)
    .where('slip_line.removed_at', 'is', null)
    .orderBy('slip_line.id')
    .execute();
}
export type LineRow = Awaited<ReturnType<typeof readLines>>[number];

/** Every judgement of a slip's lines, the latest first: what was told stays as told. */
export async function readJudgements(db: Database, slipId: string) {
  return db
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
    .orderBy('judgement.id', 'desc')
    .execute();
}
export type ToldRow = Awaited<ReturnType<typeof readJudgements>>[number];

export async function readNotes(db: Database, slipId: string) {
  return db
    .selectFrom('slip_note')
    .innerJoin('staff', 'staff.id', 'slip_note.staff_id')
    .select(['slip_note.id', 'slip_note.at', 'slip_note.text', 'slip_note.replaces_id', 'staff.name as by'])
    .where('slip_note.slip_id', '=', slipId)
    .where('slip_note.text', '!=', '')
    .where((eb) =>
      eb.not(
        eb.exists(
          eb.selectFrom('slip_note as later').select('later.id').whereRef('later.replaces_id', '=', 'slip_note.id'),
        ),
      ),
    )
    .orderBy('slip_note.id')
    .execute();
}

/** A line that stands on a slip. */
export async function findLine(db: Database, lineId: string) {
  return db
    .selectFrom('slip_line')
    .selectAll()
    .where('id', '=', lineId)
    .where('removed_at', 'is', null)
    .executeTakeFirst();
}

export async function findNote(db: Database, slipId: string, noteId: string) {
  return db
    .selectFrom('slip_note')
    .innerJoin('staff', 'staff.id', 'slip_note.staff_id')
    .select(['slip_note.id', 'slip_note.staff_id', 'staff.name as by'])
    .where('slip_note.id', '=', noteId)
    .where('slip_note.slip_id', '=', slipId)
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
      eb.selectFrom('slip').select('slip.id').where('slip.state', 'in', ['open', 'parked']),
    )
    .execute();
}

const MOST_SLIPS = 100;

export async function listSlipRows(db: Database, state: SlipState | undefined) {
  let query = db
    .selectFrom('slip')
    .leftJoin('engine', 'engine.id', 'slip.engine_id')
    .leftJoin('maker', 'maker.id', 'engine.maker_id')
    .leftJoin('staff', 'staff.id', 'slip.holder_id')
    .selectAll('slip')
    .select((eb) => [
      'engine.code as engine_code',
      'maker.name as engine_maker',
      'staff.name as holder',
      eb
        .selectFrom('slip_line')
        .select((line) => line.fn.countAll<string>().as('count'))
        .whereRef('slip_line.slip_id', '=', 'slip.id')
        .where('slip_line.removed_at', 'is', null)
        .as('line_count'),
    ])
    .orderBy('slip.updated_at', 'desc')
    .orderBy('slip.id', 'desc')
    .limit(MOST_SLIPS);
  if (state) query = query.where('slip.state', '=', state);
  return query.execute();
}

/** Who last wrote on a slip. */
async function lastChangedBy(db: Database, slipId: string): Promise<string | undefined> {
  const last = await db
    .selectFrom('change_entry')
    .innerJoin('staff', 'staff.id', 'change_entry.staff_id')
    .select('staff.name')
    .where('subject', '=', 'slip')
    .where('subject_id', '=', slipId)
    .orderBy('change_entry.id', 'desc')
    .limit(1)
    .executeTakeFirst();
  return last?.name;
}

/**
 * Locks a slip, then the parts it sells and their stock, in the order in which a hold takes them: nothing that decides
 * whether it may be collected changes from here on.
 */
export async function lockForSale(trx: Writing, slipId: string): Promise<void> {
  await trx.selectFrom('slip').select('id').where('id', '=', slipId).forUpdate().execute();
  const parts = await trx
    .selectFrom('slip_line')
    .select('part_id')
    .distinct()
    .where('slip_id', '=', slipId)
    .where('kind', '=', 'sale')
    .where('removed_at', 'is', null)
    .orderBy('part_id')
    .execute();
  const ids = parts.map(({ part_id }) => part_id);
  if (ids.length === 0) return;
  for (const id of ids) await sql`select pg_advisory_xact_lock_shared(${id}::bigint)`.execute(trx);
  await trx.selectFrom('stock').select('part_id').where('part_id', 'in', ids).orderBy('part_id').forUpdate().execute();
}

/**
 * Takes the next version of a slip and changes it, if it still is at the version the caller saw. Every change of a slip
 * or of its lines goes through here, so two people cannot overwrite each other unseen.
 */
export async function changeSlipRow(
  trx: Writing,
  change: {
    slipId: string;
    version: number;
    staffId: string;
    action: string;
    set?: Updateable<SlipTable>;
    unless?: (slip: SlipRow) => Trouble | undefined;
  },
): Promise<SlipRow | Trouble> {
  const before = await readSlip(trx, change.slipId);
  if (!before) return trouble('not-found', 'There is no slip of that number.');
  const refused = change.unless?.(before);
  if (refused) return refused;
  const changed = await trx
    .updateTable('slip')
    .set({ ...change.set, version: change.version + 1, updated_at: new Date() })
    .where('id', '=', change.slipId)
    .where('version', '=', change.version)
    .returning('id')
    .executeTakeFirst();
  if (!changed) {
    return trouble(
      'changed-meanwhile',
      `${(await lastChangedBy(trx, before.id)) ?? 'Somebody'} changed slip ${before.docket} meanwhile. Look at it as it stands now and try again.`,
    );
  }
  const keys = Object.keys(change.set ?? {}) as (keyof SlipRow)[];
  const only = (row: object) => Object.fromEntries(keys.map((key) => [key, (row as Record<string, unknown>)[key]]));
  await recordChange(trx, {
    staffId: change.staffId,
    subject: 'slip',
    subjectId: change.slipId,
    action: change.action,
    before: only(before),
    after: change.set ?? {},
  });
  return (await readSlip(trx, change.slipId))!;
}

export async function storeKept(
  trx: Writing,
  { slipId, kept, staffId }: { slipId: string; kept: SlipKept; staffId: string },
): Promise<void> {
  await trx
    .insertInto('slip_kept')
    .values({ slip_id: slipId, kind: kept.kind, kept: JSON.stringify(kept), staff_id: staffId })
    .execute();
}

/** Work kept on a slip as far as it has come: the latest of each kind. */
export async function readKept(db: Database, slipId: string): Promise<SlipKept[]> {
  const rows = await db
    .selectFrom('slip_kept')
    .distinctOn('kind')
    .select('kept')
    .where('slip_id', '=', slipId)
    .orderBy('kind')
    .orderBy('id', 'desc')
    .execute();
  return rows.map(({ kept }) => kept);
}
