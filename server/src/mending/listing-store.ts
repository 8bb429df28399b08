import type { Insertable } from 'kysely';
import type { Database, Writing } from '../db/database.ts';
import type { ListingTable } from '../db/tables/catalogue.ts';

/** Who lists a part for which engines. */
export const readListingsOf = (db: Database, partId: string) =>
  db
    .selectFrom('listing')
    .innerJoin('engine', 'engine.id', 'listing.engine_id')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .selectAll('listing')
    .select(['maker.name as engineMaker', 'engine.code'])
    .where('listing.part_id', '=', partId)
    .orderBy('engine.visits', 'desc')
    .orderBy('listing.id')
    .limit(MOST_LISTINGS)
    .execute();
export type OwnListing = Awaited<ReturnType<typeof readListingsOf>>[number];

const MOST_LISTINGS = 200;

/** False where that source lists it for that engine already, or there is no such engine. */
export async function addListing(trx: Writing, listing: Insertable<ListingTable>): Promise<boolean> {
  const engine = await trx.selectFrom('engine').select('id').where('id', '=', listing.engine_id).executeTakeFirst();
  if (!engine) return false;
  const added = await trx
    .insertInto('listing')
    .values(listing)
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst();
  return added !== undefined;
}

export async function removeListing(trx: Writing, partId: string, engineId: string, source: string): Promise<void> {
  await trx
    .deleteFrom('listing')
    .where('part_id', '=', partId)
    .where('engine_id', '=', engineId)
    .where('source', '=', source)
    .execute();
}
