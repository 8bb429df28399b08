import { sql } from 'kysely';
import type { Writing } from '../db/database.ts';
import type { SlipRow } from './store.ts';

/** Lines for sale at today's prices; how many of them have another. */
export async function priceAnew(trx: Writing, slipId: string): Promise<number> {
  const { rows } = await sql`
    update slip_line l set unit_price_minor = p.each_minor from price p
     where l.slip_id = ${slipId} and p.part_id = l.part_id and l.kind = 'sale' and l.removed_at is null
       and l.unit_price_minor is distinct from p.each_minor returning l.id`.execute(trx);
  return rows.length;
}

interface Rest {
  readonly line: { readonly id: string; readonly quantity: number };
  readonly left: number;
}

/**
 * What is not collected yet goes to a slip of its own that waits for it, at the prices it had and with what was told of it;
 * the slip it comes from keeps what leaves the counter now.
 */
export async function splitRest(
  trx: Writing,
  from: SlipRow,
  rest: readonly Rest[],
  staffId: string,
): Promise<{ id: string; docket: number }> {
  const split = await trx
    .insertInto('slip')
    .columns([...COPIED, 'holder_id', 'split_from_id'])
    .expression((eb) =>
      eb
        .selectFrom('slip')
        .select([...COPIED])
        .select([sql<string>`${staffId}::bigint`.as('holder_id'), 'slip.id as split_from_id'])
        .where('slip.id', '=', from.id),
    )
    .returning(['id', 'docket'])
    .executeTakeFirstOrThrow();
  for (const { line, left } of rest) {
    await sql`
      with moved as (
        insert into slip_line (slip_id, part_id, kind, quantity, unit_price_minor, positions, batch_id)
        select ${split.id}, part_id, kind, ${left}, unit_price_minor, positions, batch_id from slip_line where id = ${line.id}
        returning id)
      insert into judgement (slip_line_id, staff_id, catalogue_version, rules_version, cause, verdict, reason, findings, set_up)
      select moved.id, j.staff_id, j.catalogue_version, j.rules_version, j.cause, j.verdict, j.reason, j.findings, j.set_up
        from moved, lateral (select * from judgement where slip_line_id = ${line.id} order by id desc limit 1) j`.execute(
      trx,
    );
    if (left === line.quantity)
      await trx.updateTable('slip_line').set({ removed_at: new Date() }).where('id', '=', line.id).execute();
    else
      await trx
        .updateTable('slip_line')
        .set({ quantity: line.quantity - left })
        .where('id', '=', line.id)
        .execute();
  }
  await trx.updateTable('slip').set({ state: 'ordered' }).where('id', '=', split.id).execute();
  return split;
}

/** What a slip split off has of the one it comes from. */
const COPIED = [
  'customer',
  'phone',
  'vehicle',
  'came_for',
  'engine_id',
  'build',
  'revision_staying',
  'duty',
  'engine_count',
  'garage_vehicle_id',
  'tax_basis_points',
] as const;

/** A slip that was ready is open again; nobody holds it. */
export async function reopenReady(trx: Writing, slipId: string): Promise<void> {
  await trx
    .updateTable('slip')
    .set((eb) => ({ state: 'open', held_until: null, holder_id: null, version: eb('version', '+', 1) }))
    .where('id', '=', slipId)
    .where('state', '=', 'ready')
    .execute();
}
