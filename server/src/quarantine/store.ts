import { sql, type RawBuilder } from 'kysely';
import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { Channel } from '@brackenfell/core/authenticity/prior';
import type { Batch, Sale } from '@brackenfell/contract/quarantine';
import type { Database, Writing } from '../db/database.ts';

/** The seller of pieces whose owner cannot say where they were bought; made by the migration. */
export const SELLER_NOT_SAID = 'Seller not said';

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

/** Sales of one batch that stand, by line: what was sold of it and not taken back since. */
const salesOf = (batchId: RawBuilder<unknown>) => sql`
  select slip_line_id, -sum(quantity)::int as quantity, bool_or(named) as named, min(at) filter (where why = 'sold') as at
    from stock_movement where batch_id = ${batchId} and slip_line_id is not null
   group by slip_line_id having sum(quantity) < 0`;

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

export interface SaleRow {
  readonly slip_id: string;
  readonly docket: number;
  readonly line_id: string;
  readonly customer: string;
  readonly vehicle: string;
  readonly quantity: number;
  readonly at: Date;
  readonly named: boolean;
}

/** Who bought of a batch. */
export async function readSales(db: Database, batchId: string): Promise<SaleRow[]> {
  const { rows } = await sql<SaleRow>`
    select s.id as slip_id, s.docket, l.id as line_id, s.customer, s.vehicle, sale.quantity, sale.at, sale.named
      from (${salesOf(sql`${batchId}`)}) sale join slip_line l on l.id = sale.slip_line_id join slip s on s.id = l.slip_id
     order by sale.at, l.id`.execute(db);
  return rows;
}

export async function readContacts(db: Database, batchId: string) {
  return db
    .selectFrom('recall_contact')
    .innerJoin('staff', 'staff.id', 'recall_contact.staff_id')
    .selectAll('recall_contact')
    .select('staff.name as by')
    .where('batch_id', '=', batchId)
    .orderBy('recall_contact.id')
    .execute();
}

export async function addContact(
  trx: Writing,
  contact: {
    batchId: string;
    lineId: string;
    outcome: Sale['contacts'][number]['outcome'];
    note: string;
    staffId: string;
  },
): Promise<void> {
  await trx
    .insertInto('recall_contact')
    .values({
      batch_id: contact.batchId,
      slip_line_id: contact.lineId,
      outcome: contact.outcome,
      note: contact.note,
      staff_id: contact.staffId,
    })
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
 * Open and parked slips that would sell of a batch: it is named on a line, or no batch is. They are locked, so that each is
 * told once and none is closed meanwhile.
 */
export async function lockSlipsSelling(trx: Writing, partId: string, batchId: string): Promise<string[]> {
  const { rows } = await sql<{ id: string }>`
    select s.id from slip s
     where s.state in ('open', 'parked') and exists (
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
    .set((eb) => ({ version: eb('version', '+', 1), updated_at: new Date() }))
    .where('id', 'in', slipIds)
    .execute();
}

export async function addNotice(
  trx: Writing,
  notice: { partId: string; code: string; codeNormal: string; from: string; says: string; staffId: string },
): Promise<string> {
  const { id } = await trx
    .insertInto('recall_notice')
    .values({
      part_id: notice.partId,
      code: notice.code,
      code_normal: notice.codeNormal,
      from_whom: notice.from,
      says: notice.says,
      staff_id: notice.staffId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

export interface NoticeRow {
  readonly id: string;
  readonly printed: string;
  readonly maker: string;
  readonly code: string;
  readonly from_whom: string;
  readonly says: string;
  readonly at: Date;
  readonly by: string;
  readonly batches: number;
}

export async function readNotices(db: Database): Promise<NoticeRow[]> {
  const { rows } = await sql<NoticeRow>`
    select r.id, n.printed, m.name as maker, r.code, r.from_whom, r.says, r.at, w.name as by,
           (select count(*) from batch b where b.part_id = r.part_id and b.code_normal = r.code_normal)::int as batches
      from recall_notice r join part p on p.id = r.part_id join maker m on m.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind in ('catalogue', 'oe') join staff w on w.id = r.staff_id
     order by r.id desc limit 50`.execute(db);
  return rows;
}

/** Batches of a part under a code that could still be sold, as written or through worn characters of the notice. */
export async function findByCode(db: Database, partId: string, codeNormal: string) {
  return db
    .selectFrom('batch')
    .select(['id', 'version', 'state'])
    .where('part_id', '=', partId)
    .where('code_normal', '=', codeNormal)
    .where('state', 'in', ['open', 'released'])
    .orderBy('id')
    .execute();
}

export async function findNotice(db: Database, partId: string, codeNormal: string) {
  if (codeNormal === '') return undefined;
  return db
    .selectFrom('recall_notice')
    .selectAll()
    .where('part_id', '=', partId)
    .where('code_normal', '=', codeNormal)
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
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

export async function findSeller(db: Database, of: { id: string } | { name: string }) {
  return db
    .selectFrom('seller')
    .selectAll()
    .where('id' in of ? 'seller.id' : 'seller.name', '=', 'id' in of ? of.id : of.name)
    .executeTakeFirst();
}

export interface SellerRow {
  readonly id: string;
  readonly name: string;
  readonly channel: Channel;
  readonly batches: number;
  readonly settled: number;
  readonly not_genuine: number;
}

export async function readSellers(db: Database): Promise<SellerRow[]> {
  const { rows } = await sql<SellerRow>`
    select s.id, s.name, s.channel, count(b.id)::int as batches,
           (count(b.id) filter (where b.state in ('released', 'confirmed')))::int as settled,
           (count(b.id) filter (where b.state = 'confirmed'))::int as not_genuine
      from seller s left join batch b on b.seller_id = s.id
     group by s.id order by s.name = ${SELLER_NOT_SAID}, s.name`.execute(db);
  return rows;
}

/** Whether nothing of a part is left but what may not be sold, by part. */
export async function readOnlyHeld(db: Database, partId: string): Promise<{ onlyHeld: boolean; code: string }> {
  const { rows } = await sql<{ held: number; on_hand: number | null; code: string | null }>`
    select coalesce(sum(b.on_hand) filter (where b.state in ('held', 'confirmed') and b.on_hand > 0), 0)::int as held,
           (select on_hand from stock where part_id = ${partId}) as on_hand,
           min(b.code) filter (where b.state in ('held', 'confirmed') and b.on_hand > 0) as code
      from batch b where b.part_id = ${partId}`.execute(db);
  const { held, on_hand, code } = rows[0]!;
  return { onlyHeld: held > 0 && (on_hand ?? 0) <= held, code: code ?? '' };
}

/** Puts a part's supply figure of the quarantine in place, or takes it away; true when that changed anything. */
export async function setQuarantineFigure(
  trx: Writing,
  figure: { partId: string; attribute: string; source: string; present: boolean },
): Promise<boolean> {
  const standing = await trx
    .selectFrom('figure')
    .select(['id', 'source_name'])
    .where('part_id', '=', figure.partId)
    .where('attribute', '=', figure.attribute)
    .where('source_rank', '=', 'gauged')
    .where('code', '=', 'quarantined')
    .where('withdrawn_at', 'is', null)
    .execute();
  const right = standing.filter(({ source_name }) => figure.present && source_name === figure.source);
  const wrong = standing.filter((one) => !right.includes(one)).map(({ id }) => id);
  if (wrong.length > 0)
    await trx.updateTable('figure').set({ withdrawn_at: new Date() }).where('id', 'in', wrong).execute();
  const missing = figure.present && right.length === 0;
  if (missing)
    await trx
      .insertInto('figure')
      .values({
        part_id: figure.partId,
        position_id: null,
        attribute: figure.attribute,
        low: null,
        high: null,
        code: 'quarantined',
        unit: null,
        // Of the pieces in hand, held by somebody who looked: it outranks all paper, as a repeated gauging does.
        source_rank: 'gauged',
        source_name: figure.source,
        readings: 2,
        withdrawn_at: null,
      })
      .execute();
  return missing || wrong.length > 0;
}

export async function readPartKind(db: Database, partId: string) {
  return db.selectFrom('part').select('kind').where('id', '=', partId).executeTakeFirstOrThrow();
}
