import type { Database, Writing } from '../db/database.ts';

export async function readCatalogueVersion(db: Database): Promise<string> {
  return (await db.selectFrom('catalogue_version').select('version').executeTakeFirstOrThrow()).version;
}

/** How often parts were taken out of the catalogue: what is kept of them in memory is of before. */
export async function readRemovals(db: Database): Promise<string> {
  return (await db.selectFrom('catalogue_version').select('removals').executeTakeFirstOrThrow()).removals;
}

/**
 * Every reader's catalogue is of another version from here on: trays, indexes and trails are made anew. The row stays locked
 * until the transaction ends, so versions come to be seen in their order.
 */
export async function bumpCatalogueVersion(trx: Writing): Promise<void> {
  await trx
    .updateTable('catalogue_version')
    .set((eb) => ({ version: eb('version', '+', '1') }))
    .execute();
}

/** Holds the catalogue for the transaction: of two who change it on what they have seen, the later sees what the earlier made. */
export async function lockCatalogue(trx: Writing): Promise<void> {
  await trx.selectFrom('catalogue_version').select('version').forUpdate().execute();
}
