import type { HeldBy } from '@brackenfell/core/old-parts/held';
import { recordedAfter } from '../history/store.ts';
import { sql, type InferResult, type Insertable, type Updateable } from 'kysely';
import type { Database, Writing } from '../db/database.ts';
import type { SlipNoteTable, SlipTable } from '../db/tables/counter.ts';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { SlipState } from '@brackenfell/core/slip/slip-states';
import { trouble, type Trouble } from '../http/trouble.ts';

/** A slip, with what its engine, its holder and the part in hand are called. */
export const slipOf = (db: Database, slipId: string) =>
  db
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
        .selectFrom('part_name')
        .select('part_name.printed')
        .whereRef('part_name.part_id', '=', 'slip.in_hand_part_id')
        .where('part_name.kind', 'in', ['catalogue', 'oe'])
        .limit(1)
        .as('in_hand_printed'),
      eb
        .selectFrom('garage_vehicle')
        .select('garage_vehicle.called')
        .whereRef('garage_vehicle.id', '=', 'slip.garage_vehicle_id')
        .as('garage_called'),
      sql<{ slipId: string; docket: number; state: SlipState }[]>`coalesce((
        select json_agg(json_build_object('slipId', other.id::text, 'docket', other.docket, 'state', other.state) order by other.id)
          from slip other where other.split_from_id = ${eb.ref('slip.id')} or other.id = ${eb.ref('slip.split_from_id')}),
        '[]'::json)`.as('linked'),
      sql<{ declinedId: string; says: string }[]>`coalesce((
        select json_agg(json_build_object('declinedId', id::text, 'says', says) order by id) from declined_advice
         where vehicle_id = ${eb.ref('slip.garage_vehicle_id')} and raised_at is null and at < ${eb.ref('slip.created_at')}),
        '[]'::json)`.as('to_raise'),
    ])
    .where('slip.id', '=', slipId);

export const readSlip = (db: Database, slipId: string) => slipOf(db, slipId).executeTakeFirst();
export type SlipRow = NonNullable<Awaited<ReturnType<typeof readSlip>>>;

export const notesOf = (db: Database, slipId: string) =>
  db
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
    .orderBy('slip_note.id');
export type NoteRow = InferResult<ReturnType<typeof notesOf>>[number];

export async function findNote(db: Database, slipId: string, noteId: string) {
  return db
    .selectFrom('slip_note')
    .innerJoin('staff', 'staff.id', 'slip_note.staff_id')
    .select(['slip_note.id', 'slip_note.staff_id', 'staff.name as by'])
    .where('slip_note.id', '=', noteId)
    .where('slip_note.slip_id', '=', slipId)
    .executeTakeFirst();
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
    /** The slip as it stood a moment ago, where the caller has read it. */
    before?: SlipRow | undefined;
  },
): Promise<SlipRow | Trouble> {
  const before = 'before' in change ? change.before : await readSlip(trx, change.slipId);
  if (!before) return trouble('not-found', 'There is no slip of that number.');
  const refused = change.unless?.(before);
  if (refused) return refused;
  const keys = Object.keys(change.set ?? {}) as (keyof SlipRow)[];
  const only = (row: object) => Object.fromEntries(keys.map((key) => [key, (row as Record<string, unknown>)[key]]));
  const changed = await trx
    .with('changed', (db) =>
      db
        .updateTable('slip')
        .set({ ...change.set, version: change.version + 1, updated_at: new Date() })
        .where('id', '=', change.slipId)
        .where('version', '=', change.version)
        .returning('id'),
    )
    .with('written', () =>
      recordedAfter('changed', {
        staffId: change.staffId,
        subject: 'slip',
        action: change.action,
        before: only(before),
        after: change.set ?? {},
      }),
    )
    .selectFrom('changed')
    .select('id')
    .executeTakeFirst();
  if (!changed) {
    return trouble(
      'changed-meanwhile',
      `${(await lastChangedBy(trx, before.id)) ?? 'Somebody'} changed slip ${before.docket} meanwhile. Look at it as it stands now and try again.`,
    );
  }
  // What the engine and the holder are called is read again where they may have changed.
  const { set = {} } = change;
  if ('engine_id' in set || 'holder_id' in set || 'in_hand_part_id' in set)
    return (await readSlip(trx, change.slipId))!;
  return { ...before, ...(set as Partial<SlipRow>), version: change.version + 1 };
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
export const keptOf = (db: Database, slipId: string) =>
  db
    .selectFrom('slip_kept')
    .distinctOn('kind')
    .select('kept')
    .where('slip_id', '=', slipId)
    .orderBy('kind')
    .orderBy('id', 'desc');

/** Kinds of part that the old parts of a slip hold back, and why; none where nothing is. */
export async function storeHold(
  trx: Writing,
  slipId: string,
  hold: { readonly held_kinds: string[]; readonly held_says: string; readonly held_by: HeldBy | null },
): Promise<void> {
  await trx.updateTable('slip').set(hold).where('id', '=', slipId).execute();
}

export async function addSlipRow(trx: Writing, slip: Insertable<SlipTable>): Promise<string> {
  const { id } = await trx.insertInto('slip').values(slip).returning('id').executeTakeFirstOrThrow();
  return id;
}

export async function addNoteRow(trx: Writing, note: Insertable<SlipNoteTable>): Promise<void> {
  await trx.insertInto('slip_note').values(note).execute();
}
