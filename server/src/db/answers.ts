import { sql } from 'kysely';
import type { Database } from './database.ts';

/** Throws where the database does not answer. */
export async function answers(db: Database): Promise<void> {
  await sql`select 1`.execute(db);
}
