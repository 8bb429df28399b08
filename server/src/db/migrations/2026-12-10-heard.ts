import { sql, type Kysely } from 'kysely';

/** What customers say and what the shop answers; append-only, the latest of each stands. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table heard_claim (
     id bigint generated always as identity primary key, claim_key text not null, says text not null,
     answer text not null, basis text not null check (basis in ('check', 'unknown')),
     is_taken_away boolean not null, staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index heard_claim_latest on heard_claim (claim_key, id desc)`,
  `grant select, insert on heard_claim to brackenfell_app`,
];
