import { sql, type Kysely } from 'kysely';

/** What was printed is kept byte for byte, and printed again as it was. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table printed_paper (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     kind text not null check (kind in ('fitting-card')), size text not null check (size in ('A5', 'A4')),
     pdf bytea not null, staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index printed_paper_slip on printed_paper (slip_id, id)`,
  `grant select, insert on printed_paper to brackenfell_app`,
];
