import { sql, type Kysely } from 'kysely';

/** Old coils, leads, caps and rotors are kept on a slip as plugs are. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(`alter table slip_kept drop constraint slip_kept_kind_check`).execute(db);
  await sql
    .raw(
      `alter table slip_kept add constraint slip_kept_kind_check check (kind in (
         'swap-test', 'fitted-set', 'spark-evidence', 'fragile', 'old-plugs', 'old-others', 'compression', 'comeback'))`,
    )
    .execute(db);
}
