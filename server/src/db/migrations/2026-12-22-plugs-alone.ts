import { sql, type Kysely } from 'kysely';

/**
 * Changes of plugs and their figures alone are counted: of a list of new plugs what engines ask is as it was, and so is every
 * tray that none of them can lie in. Whatever gives the catalogue a version without counting here has changed more than that.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table catalogue_version add column of_plugs bigint not null default 0`.execute(db);
  await sql`grant update (of_plugs) on catalogue_version to brackenfell_app`.execute(db);
}
