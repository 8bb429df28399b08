import { sql } from 'kysely';
import { LIVE_STATES, type SlipState } from '@brackenfell/core/slip/slip-states';
import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { Channel } from '@brackenfell/core/authenticity/prior';
import type { Batch } from '@brackenfell/contract/quarantine';
import type { Database, Writing } from '../db/database.ts';
import { salesOf } from './sales-store.ts';

export interface BatchRow {
  readonly id: string;
  readonly part_id: string;
  readonly printed: string;
  readonly maker: string;
  readonly code: string;
  readonly seller_id: string;
  readonly seller: string;
  readonly channel: Channel;
  readonly delivery_id: string | null;
  readonly state: Batch['state'];
  readonly version: number;
  readonly quantity: number;
  readonly on_hand: number;
  readonly unit_cost_minor: number | null;
  readonly received_at: Date;
  readonly sold: number;
  readonly to_contact: number;
  readonly found: readonly { bands: Band[]; chance: number }[];
  readonly total: number;
}

const MOST_BATCHES = 200;

/** Batches, what cannot be sold first, then the latest; of one part, one batch or one delivery where asked. */
export async function readBatches(
  db: Database,
  of: { batchId?: string; partId?: string | undefined; deliveryId?: string } = {},
): Promise<BatchRow[]> {
  const where =
    of.batchId !== undefined
      ? sql`b.id = ${of.batchId}`
      : of.deliveryId !== undefined
        ? sql`b.delivery_id = ${of.deliveryId}`
        : of.partId !== undefined
          ? sql`b.part_id = ${of.partId}`
          : sql`true`;
  const { rows } = await sql<BatchRow>`
    select b.id, b.part_id, n.printed, m.name as maker, b.code, b.seller_id, s.name as seller, s.channel, b.delivery_id, b.state,
           b.version, b.quantity, b.on_hand, b.unit_cost_minor, b.received_at,
           sales.sold, sales.to_contact,
           coalesce((select jsonb_agg(jsonb_build_object('bands', c.bands, 'chance', c.chance) order by i.id)
              from inspection i cross join lateral (
                select bands, chance from inspection_conclusion c where c.inspection_id = i.id order by c.id desc limit 1) c
             where i.batch_id = b.id), '[]') as found,
           count(*) over ()::int as total
      from batch b
      join seller s on s.id = b.seller_id
      join part p on p.id = b.part_id
      join maker m on m.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind in ('catalogue', 'oe')
      cross join lateral (
        select coalesce(sum(sale.quantity), 0)::int as sold, (count(*) filter (where not exists (
                 select from recall_contact c where c.batch_id = b.id and c.slip_line_id = sale.slip_line_id
                    and c.outcome in ('reached', 'returned', 'not-traceable'))))::int as to_contact
          from (${salesOf(sql`b.id`)}) sale) sales
     where ${where}
     order by array_position(array['held', 'confirmed'], b.state), b.received_at desc, b.id desc limit ${MOST_BATCHES}`.execute(
    db,
  );
  return rows;
}

export async function readEvents(db: Database, batchId: string) {
  return db
    .selectFrom('batch_event')
    .innerJoin('staff', 'staff.id', 'batch_event.staff_id')
    .select(['batch_event.at', 'batch_event.action', 'batch_event.reason', 'staff.name as by'])
    .where('batch_id', '=', batchId)
    .orderBy('batch_event.id')
    .execute();
}

export async function addEvent(
  trx: Writing,
  event: {
    batchId: string;
    action: Batch['events'][number]['action'];
    reason: string;
    staffId: string;
    inspectionId?: string | undefined;
  },
): Promise<void> {
  await trx
    .insertInto('batch_event')
    .values({
      batch_id: event.batchId,
      action: event.action,
      reason: event.reason,
      staff_id: event.staffId,
      inspection_id: event.inspectionId ?? null,
    })
    .execute();
}

/** Gives a batch its next state and version, if it is still at the version and in a state that was seen. */
export async function moveBatch(
  trx: Writing,
  move: { batchId: string; version: number; state?: Batch['state'] },
): Promise<boolean> {
  const moved = await trx
    .updateTable('batch')
    .set({ version: move.version + 1, ...(move.state ? { state: move.state } : {}) })
    .where('id', '=', move.batchId)
    .where('version', '=', move.version)
    .returning('id')
    .executeTakeFirst();
  return moved !== undefined;
}

/**
 * Slips that are not done and would sell of a batch: it is named on a line, or no batch is. They are locked, so that each is
 * told once and none is closed meanwhile.
 */
export async function lockSlipsSelling(trx: Writing, partId: string, batchId: string): Promise<string[]> {
  const { rows } = await sql<{ id: string }>`
    select s.id from slip s
     where s.state = any (${[...LIVE_STATES]}::text[]) and exists (
       select from slip_line l where l.slip_id = s.id and l.removed_at is null and l.kind = 'sale' and l.part_id = ${partId}
          and (l.batch_id is null or l.batch_id = ${batchId}))
     order by s.id for update`.execute(trx);
  return rows.map(({ id }) => id);
}

/** Writes a note on slips, each of which thereby has a next version: who has it open sees it change. */
export async function noteOnSlips(
  trx: Writing,
  slipIds: readonly string[],
  staffId: string,
  text: string,
): Promise<void> {
  if (slipIds.length === 0) return;
  await trx
    .insertInto('slip_note')
    .values(slipIds.map((slip_id) => ({ slip_id, staff_id: staffId, text })))
    .execute();
  await trx
    .updateTable('slip')
    .set((eb) => ({
      version: eb('version', '+', 1),
      updated_at: new Date(),
      // What was ready is not any more: it is looked at again.
      state: sql<SlipState>`case when state = 'ready' then 'open' else state end`,
      held_until: sql<string | null>`case when state = 'ready' then null else held_until end`,
    }))
    .where('id', 'in', slipIds)
    .execute();
}

export async function addBatch(
  trx: Writing,
  batch: {
    partId: string;
    sellerId: string;
    deliveryId: string | null;
    code: string;
    codeNormal: string;
    quantity: number;
    onHand: number;
    unitCostMinor: number | null;
    orderedUnder: string;
  },
): Promise<string> {
  const { id } = await trx
    .insertInto('batch')
    .values({
      part_id: batch.partId,
      seller_id: batch.sellerId,
      delivery_id: batch.deliveryId,
      code: batch.code,
      code_normal: batch.codeNormal,
      quantity: batch.quantity,
      on_hand: batch.onHand,
      unit_cost_minor: batch.unitCostMinor,
      ordered_under: batch.orderedUnder,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}
