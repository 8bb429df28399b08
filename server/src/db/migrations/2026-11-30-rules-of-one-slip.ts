import { sql, type Kysely } from 'kysely';

/** House rules may be chosen otherwise under a condition, and for one slip with a reason; both are chosen anew, never altered. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  // A reference told for a day to come does not count before it; a successor may stand for some engines only.
  `alter table reference add column in_force_from date, add column engine_ids text[]`,
  `alter table slip add column phone text not null default ''`,
  `grant update (phone) on slip to brackenfell_app`,
  // No condition is the shop's default; no school takes a conditional choice back.
  `alter table house_rule_choice add column condition text, alter column school drop not null`,
  `alter table house_rule_choice add check (school is not null or condition is not null)`,
  `create table slip_rule_choice (
     id bigint generated always as identity primary key, slip_id bigint not null references slip, rule text not null,
     school text, reason text not null, staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index slip_rule_choice_slip on slip_rule_choice (slip_id, id)`,
  // A swap test takes a day, and so may reading what is fitted: kept on the slip as far as it has come, the latest stands.
  `create table slip_kept (
     id bigint generated always as identity primary key, slip_id bigint not null references slip,
     kind text not null check (kind in ('swap-test', 'fitted-set')), kept jsonb not null,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index slip_kept_slip on slip_kept (slip_id, kind, id)`,
  `grant select, insert on slip_rule_choice, slip_kept to brackenfell_app`,
];
