import { sql } from 'kysely';
import type { Database } from './database.ts';

/**
 * Has the database look at its tables and put its indexes in order after a load. Statements are planned once for the life of
 * a connection, so a plan made before it has looked stays a bad one; and until then what was just loaded is searched in a heap.
 */
export async function settleTables(db: Database): Promise<void> {
  await sql`vacuum analyze`.execute(db);
}

/** The same for the catalogue alone, as the application: what was loaded is looked at, though not put in order. */
export async function settleCatalogue(db: Database): Promise<void> {
  await sql`select settle_catalogue()`.execute(db);
}
