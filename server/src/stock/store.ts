import { sql } from 'kysely';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Database, Writing } from '../db/database.ts';

interface Movement {
  readonly partId: string;
  readonly batchId: string | null;
  /** Positive into the shop. */
  readonly quantity: number;
  readonly why: 'received' | 'sold';
  readonly lineId?: string;
  readonly named?: boolean;
  readonly staffId: string;
}

/** Writes a movement down and lets the stock of part and batch follow it. The database refuses what is not there. */
export async function moveStock(
  trx: Writing,
  { partId, batchId, quantity, why, lineId, named, staffId }: Movement,
): Promise<void> {
  await trx
    .insertInto('stock_movement')
    .values({
      part_id: partId,
      batch_id: batchId,
      quantity,
      why,
      slip_line_id: lineId ?? null,
      named: named ?? false,
      staff_id: staffId,
    })
    .execute();
  await sql`insert into stock (part_id, on_hand) values (${partId}, ${quantity})
            on conflict (part_id) do update set on_hand = stock.on_hand + ${quantity}`.execute(trx);
  // What is received counts in its batch from the start.
  if (batchId !== null && why !== 'received')
    await sql`update batch set on_hand = on_hand + ${quantity} where id = ${batchId}`.execute(trx);
}

/** Lines that a slip sells. */
export async function readSoldLines(db: Database, slipId: string) {
  return db
    .selectFrom('slip_line')
    .select(['id', 'part_id', 'batch_id', 'quantity'])
    .where('slip_id', '=', slipId)
    .where('kind', '=', 'sale')
    .where('removed_at', 'is', null)
    .orderBy('part_id')
    .orderBy('id')
    .execute();
}

/** Batches of a part that may be sold and are on the shelf, the oldest first; locked until the sale is written. */
export async function lockSellable(trx: Writing, partId: string) {
  return trx
    .selectFrom('batch')
    .select(['id', 'on_hand'])
    .where('part_id', '=', partId)
    .where('state', 'in', ['open', 'released'])
    .where('on_hand', '>', 0)
    .orderBy('received_at')
    .orderBy('id')
    .forUpdate()
    .execute();
}

interface StockRow {
  readonly id: string;
  /** Free to sell: held pieces are not counted. */
  readonly on_hand: number | null;
  readonly held: number;
  readonly unproven: number;
  readonly bin: string | null;
  readonly each_minor: number | null;
  readonly pack_of: number;
}

/** For whoever judges a part without offering it. */
export const NO_STOCK: ReadonlyMap<string, StockRow> = new Map();
export const notLookedFor = (id: string): StockRow => ({
  id,
  on_hand: null,
  held: 0,
  unproven: 0,
  bin: null,
  each_minor: null,
  pack_of: 1,
});

/** All that was read of a shelf, to tell whether it is as it was. */
export const shelfOf = (stock: ReadonlyMap<string, StockRow>): string => JSON.stringify([...stock.values()]);

/** Parts of a kind of which pieces are here: far fewer than there are of the kind. */
export async function findOnShelf(db: Database, kind: PartKind): Promise<readonly string[]> {
  const { rows } = await sql<{ id: string }>`
    select p.id from stock s
      -- Each by the index, whatever the database believes of how many there are of the kind.
      cross join lateral (select id from part where id = s.part_id and kind = ${kind} offset 0) p
     where s.on_hand > 0`.execute(db);
  return rows.map(({ id }) => id);
}

/** What is free to sell of each part, what lies held in quarantine beside it, bin and price; one row each. */
export async function readStock(db: Database, partIds: readonly string[]) {
  const { rows } = await sql<StockRow>`
    select i.id, greatest(0, s.on_hand - coalesce(b.held, 0))::int as on_hand, coalesce(b.held, 0)::int as held,
           coalesce(b.unproven, 0)::int as unproven, s.bin, p.each_minor,
           coalesce(p.pack_of, 1) as pack_of
      from unnest(${partIds}::bigint[]) as i (id)
      left join stock s on s.part_id = i.id left join price p on p.part_id = i.id
      left join (select part_id, sum(on_hand) filter (where state <> 'open') as held,
                        sum(on_hand) filter (where state = 'open' and 'not-proven' =
                          (select c.band from inspection n join inspection_conclusion c on c.inspection_id = n.id
                            where n.batch_id = batch.id order by c.id desc limit 1)) as unproven
                   from batch where part_id = any(${partIds}::bigint[]) and state <> 'released' and on_hand > 0
                  group by part_id) b on b.part_id = i.id`.execute(db);
  return new Map(rows.map((row) => [row.id, row]));
}
