import { sql, type Kysely } from 'kysely';

/** Practice cases as they were dealt, each with its answer, which is given once. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `create table drill_case (
     id bigint generated always as identity primary key, staff_id bigint not null references staff,
     topic text not null, dealt json not null, dealt_at timestamptz not null default clock_timestamp(),
     choice text, is_right boolean, answered_at timestamptz,
     check ((answered_at is null) = (is_right is null)), check (choice is null or answered_at is not null))`,
  `create index drill_case_latest on drill_case (staff_id, id desc)`,
  `create function answered_once() returns trigger language plpgsql as $$
   begin
     if old.answered_at is not null then raise exception 'a practice case is answered once'; end if;
     return new;
   end $$`,
  `create trigger answered_once before update on drill_case for each row execute function answered_once()`,
  `create trigger tell after insert or update on drill_case for each statement execute function tell_topic('practice')`,
  `grant select, insert, delete, update (choice, is_right, answered_at) on drill_case to brackenfell_app`,
];
