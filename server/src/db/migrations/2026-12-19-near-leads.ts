import { sql, type Kysely } from 'kysely';

/** Sets of leads are looked for by their count and the longest of them, the nearest first. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`drop index lead_set_leads`.execute(db);
  await sql`create index lead_set_near on lead_set (leads, longest_mm, part_id)`.execute(db);
}
