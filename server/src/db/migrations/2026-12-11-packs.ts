import { sql, type Kysely } from 'kysely';

/** What is sold only in packs of several. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`alter table price add column pack_of int not null default 1 check (pack_of between 1 and 100)`)
    .execute(db);
}
