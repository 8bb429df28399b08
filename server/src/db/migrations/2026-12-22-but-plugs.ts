import { sql, type Kysely } from 'kysely';

/**
 * Changes of all but plugs and their figures are counted apart: of a list of new plugs what engines ask is as it was, and so is
 * every tray that none of them can lie in.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table catalogue_version add column but_plugs bigint not null default 0`.execute(db);
  await sql`grant update (but_plugs) on catalogue_version to brackenfell_app`.execute(db);
}
