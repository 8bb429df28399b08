import { sql } from 'kysely';
import type { Database, Writing } from '../db/database.ts';

/**
 * Work on a whole list in one transaction. Its statements are planned each time they are run: planned once, while the tables
 * were small, they would read all of them for every page of the rows that have come since.
 */
export const inOneStep = <T>(db: Database, work: (trx: Writing) => Promise<T>): Promise<T> =>
  db.transaction().execute(async (trx) => {
    await sql`set local plan_cache_mode = force_custom_plan`.execute(trx);
    return work(trx);
  });
