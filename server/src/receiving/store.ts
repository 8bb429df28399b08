import { sql } from 'kysely';
import type { Database, Writing } from '../db/database.ts';

export async function addDelivery(
  trx: Writing,
  delivery: { sellerId: string; note: string; staffId: string },
): Promise<string> {
  const { id } = await trx
    .insertInto('delivery')
    .values({ seller_id: delivery.sellerId, note: delivery.note, staff_id: delivery.staffId })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

export async function findDelivery(db: Database, deliveryId: string) {
  return db
    .selectFrom('delivery')
    .innerJoin('seller', 'seller.id', 'delivery.seller_id')
    .innerJoin('staff', 'staff.id', 'delivery.staff_id')
    .selectAll('delivery')
    .select(['seller.name as seller', 'seller.channel', 'staff.name as by'])
    .where('delivery.id', '=', deliveryId)
    .executeTakeFirst();
}

export interface DeliveryLineRow {
  readonly id: string;
  readonly ordered_under: string;
  readonly maker_id: string;
  readonly kind: string;
  readonly part_on_hand: number;
  readonly inspection_id: string | null;
}

/** What a batch's line of a delivery shows besides the batch itself. */
export async function readDeliveryLines(db: Database, deliveryId: string): Promise<Map<string, DeliveryLineRow>> {
  const { rows } = await sql<DeliveryLineRow>`
    select b.id, b.ordered_under, p.maker_id, p.kind, coalesce(s.on_hand, 0)::int as part_on_hand,
           (select max(i.id) from inspection i where i.batch_id = b.id) as inspection_id
      from batch b join part p on p.id = b.part_id left join stock s on s.part_id = b.part_id
     where b.delivery_id = ${deliveryId}`.execute(db);
  return new Map(rows.map((row) => [row.id, row]));
}

export interface DeliveryRow {
  readonly id: string;
  readonly seller: string;
  readonly at: Date;
  readonly by: string;
  readonly lines: number;
  readonly pieces: number;
}

export async function listDeliveryRows(db: Database): Promise<DeliveryRow[]> {
  const { rows } = await sql<DeliveryRow>`
    select d.id, s.name as seller, d.at, w.name as by, count(b.id)::int as lines, coalesce(sum(b.quantity), 0)::int as pieces
      from delivery d join seller s on s.id = d.seller_id join staff w on w.id = d.staff_id
      left join batch b on b.delivery_id = d.id
     group by d.id, s.name, w.name order by d.id desc limit 100`.execute(db);
  return rows;
}
