import { sql, type Kysely } from 'kysely';

/**
 * What a list made is found by kind and subject: a list of a million rows is written page by page, and each asks what those
 * before it made. And a list may be of one maker throughout, who is named in no column.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table list_import add column of_maker text references maker`,
  `alter table list_mapping add column of_maker text references maker`,
  `drop index list_made_import`,
  `create index list_made_subject on list_made (import_id, kind, subject_id)`,
  // Both are written by the import alone, which holds its own row while it does: asked again for each of a million rows, the row answers the same.
  `alter table list_row drop constraint list_row_import_id_fkey`,
  `alter table list_made drop constraint list_made_import_id_fkey`,
];
