import { sql, type Kysely } from 'kysely';

/**
 * House rules chosen otherwise under a condition, and for one slip with a reason; references in force from a day; what the
 * application may never do is refused by the database: read a secret nobody tried, move a batch untold, let a figure of
 * another part rule.
 */
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

  // A secret's hash is read for the one try that was written down a moment ago, and for no other person.
  `revoke select on staff from brackenfell_app`,
  `grant select (id, name, initials, role, active) on staff to brackenfell_app`,
  `create function secret_for_try(try bigint) returns text language sql stable security definer
     set search_path = public, pg_temp as $$
     select case t.what when 'pin' then s.pin_hash else s.password_hash end
       from failed_try t join staff s on s.id = t.staff_id and s.active
      where t.id = try and t.at > clock_timestamp() - interval '1 minute'
   $$`,
  `revoke execute on function secret_for_try(bigint) from public`,
  `grant execute on function secret_for_try(bigint) to brackenfell_app`,

  // A batch's state changes with an event of the same transaction that says who and why; only a supervisor settles.
  `create function refuse_untold_state() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   begin
     if not exists (
       select from batch_event e join staff s on s.id = e.staff_id
        where e.batch_id = new.id and e.at >= transaction_timestamp()
          and case new.state when 'released' then e.action = 'release' and s.role = 'supervisor'
                             when 'confirmed' then e.action = 'confirm' and s.role = 'supervisor'
                             else e.action in ('hold', 'notice') end) then
       raise exception using errcode = 'BF003', message = 'Batch ' || new.id || ' changed its state and nobody said why.';
     end if;
     return null;
   end $$`,
  `create constraint trigger batch_state_is_told after update of state on batch deferrable initially deferred
     for each row when (old.state is distinct from new.state) execute function refuse_untold_state()`,

  // What rules a part's fact is one of its own figures, and one that stands. Loads by the owner are checked before they begin.
  `create function refuse_foreign_figure() returns trigger language plpgsql security definer
     set search_path = public, pg_temp as $$
   begin
     if not exists (
       select from figure f where f.id = new.figure_id and f.withdrawn_at is null
          and f.part_id is not distinct from new.part_id and f.position_id is not distinct from new.position_id) then
       raise exception using errcode = 'BF003', message = 'Figure ' || new.figure_id || ' is not one that can rule here.';
     end if;
     return new;
   end $$`,
  `create trigger only_own_figures_rule before insert or update on chosen_figure
     for each row when (current_user = 'brackenfell_app') execute function refuse_foreign_figure()`,
];
