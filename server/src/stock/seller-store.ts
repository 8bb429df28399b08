import { sql } from 'kysely';
import type { Channel } from '@brackenfell/core/authenticity/prior';
import type { Database, Writing } from '../db/database.ts';

/** The seller of pieces whose owner cannot say where they were bought; made by the migration. */
export const SELLER_NOT_SAID = 'Seller not said';

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

/** The new seller's id; undefined where the name is one's already, letter case aside. */
export async function addSellerRow(
  trx: Writing,
  seller: { name: string; channel: Channel },
): Promise<string | undefined> {
  const same = await trx
    .selectFrom('seller')
    .select('id')
    .where((eb) => eb(eb.fn<string>('lower', ['name']), '=', seller.name.toLowerCase()))
    .executeTakeFirst();
  if (same) return undefined;
  return (await trx.insertInto('seller').values(seller).returning('id').executeTakeFirstOrThrow()).id;
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
