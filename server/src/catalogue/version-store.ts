import type { Database, Writing } from '../db/database.ts';

/** Where a catalogue stands. */
export interface CatalogueVersion {
  readonly version: string;
  /** The same as long as nothing was changed but plugs and their figures: what engines ask, and who is said to serve them. */
  readonly butPlugs: string;
  /** How often parts were taken out of the catalogue: what is kept of them in memory is of before. */
  readonly removals: string;
}

export async function readVersions(db: Database): Promise<CatalogueVersion> {
  const { of_plugs: ofPlugs, ...stands } = await db
    .selectFrom('catalogue_version')
    .select(['version', 'of_plugs', 'removals'])
    .executeTakeFirstOrThrow();
  return { ...stands, butPlugs: String(BigInt(stands.version) - BigInt(ofPlugs)) };
}

export async function readCatalogueVersion(db: Database): Promise<string> {
  return (await readVersions(db)).version;
}

/**
 * Every reader's catalogue is of another version from here on: trays, indexes and trails are made anew, unless it is said that
 * plugs alone are other than they were. The row stays locked
 * until the transaction ends, so versions come to be seen in their order.
 */
export async function bumpCatalogueVersion(trx: Writing): Promise<void> {
  await trx
    .updateTable('catalogue_version')
    .set((eb) => ({ version: eb('version', '+', '1') }))
    .execute();
}

/** The same where nothing is changed but plugs and their figures: of trays those alone are made anew that one of them lies in. */
export async function bumpVersionOfPlugs(trx: Writing): Promise<void> {
  await trx
    .updateTable('catalogue_version')
    .set((eb) => ({ version: eb('version', '+', '1'), of_plugs: eb('of_plugs', '+', '1') }))
    .execute();
}

/** Holds the catalogue for the transaction: of two who change it on what they have seen, the later sees what the earlier made. */
export async function lockCatalogue(trx: Writing): Promise<void> {
  await trx.selectFrom('catalogue_version').select('version').forUpdate().execute();
}
