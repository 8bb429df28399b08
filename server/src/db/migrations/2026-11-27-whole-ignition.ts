import { sql, type Kysely } from 'kysely';

/**
 * Coils, lead sets, caps and rotors beside plugs: what an engine needs of each, and how its cylinders stand and fire. The
 * shop's rules, the customer's duty, and what a supervisor released.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const SOLD = `('plug', 'coil', 'lead-set', 'cap', 'rotor')`;

const STATEMENTS = [
  `alter table part drop constraint part_kind_check`,
  `alter table part add constraint part_kind_check
     check (kind in ('plug', 'coil', 'lead-set', 'cap', 'rotor', 'oe-number', 'unheld'))`,
  `alter table engine add column plan jsonb, add column notes jsonb not null default '[]'`,
  `alter table engine_position add column kind text not null default 'plug' check (kind in ${SOLD}),
     add column build text`,
  `alter table engine_position drop constraint engine_position_engine_id_cylinder_place_key`,
  `create unique index engine_position_stands_once on engine_position (engine_id, kind, cylinder, place, coalesce(build, ''))`,
  `alter table named_number add column kind text not null default 'plug' check (kind in ${SOLD})`,
  `alter table slip add column build text, add column revision_staying text,
     add column engine_count int not null default 1 check (engine_count between 1 and 50)`,
  `create table coil_spec (part_id bigint primary key references part, topology text, connector text, pins int, towers int)`,
  `create index coil_spec_form on coil_spec (topology, towers)`,
  `create table lead_set (part_id bigint primary key references part, leads int, longest_mm double precision)`,
  `create index lead_set_leads on lead_set (leads)`,
  `create index part_distributor on part (kind) where kind in ('cap', 'rotor')`,

  // Rules are chosen anew, never altered: the latest choice stands.
  `create table house_rule_choice (
     id bigint generated always as identity primary key, rule text not null, school text not null,
     staff_id bigint not null references staff, at timestamptz not null default now())`,
  `create index house_rule_choice_rule on house_rule_choice (rule, id desc)`,
  `create table class_list (
     id bigint generated always as identity primary key, class_name text not null, valid_from date not null, valid_to date,
     numbers text[] not null, source text not null, unique (class_name, valid_from))`,
  `alter table slip add column duty text not null default ''`,
  `alter table slip_line add column review jsonb`,
  `alter table judgement add column cause text`,
  // A release stands for the judgement it was given for, and for no later one.
  `create table release (
     id bigint generated always as identity primary key, judgement_id bigint not null unique references judgement,
     supervisor_id bigint not null references staff, asked_by bigint not null references staff, reason text not null,
     at timestamptz not null default now())`,
  `grant select on house_rule_choice, class_list, release to brackenfell_app`,
  `grant insert on house_rule_choice, release to brackenfell_app`,
  `grant usage on all sequences in schema public to brackenfell_app`,
  `grant select on coil_spec, lead_set to brackenfell_app`,
  `grant insert, update, delete on coil_spec, lead_set to brackenfell_app`,
];
