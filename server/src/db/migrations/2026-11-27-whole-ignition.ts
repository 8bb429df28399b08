import { sql, type Kysely } from 'kysely';

/** Coils, lead sets, caps and rotors beside plugs: what an engine needs of each, and how its cylinders stand and fire. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const SOLD = `('plug', 'coil', 'lead-set', 'cap', 'rotor')`;

const STATEMENTS = [
  `alter table part drop constraint part_kind_check`,
  `alter table part add constraint part_kind_check
     check (kind in ('plug', 'coil', 'lead-set', 'cap', 'rotor', 'oe-number', 'unheld'))`,
  `alter table engine add column plan jsonb`,
  `alter table engine_position add column kind text not null default 'plug' check (kind in ${SOLD}),
     add column build text`,
  `alter table engine_position drop constraint engine_position_engine_id_cylinder_place_key`,
  `create unique index engine_position_stands_once on engine_position (engine_id, kind, cylinder, place, coalesce(build, ''))`,
  `alter table named_number add column kind text not null default 'plug' check (kind in ${SOLD})`,
  `alter table slip add column build text`,
  `create table coil_spec (part_id bigint primary key references part, topology text, connector text, pins int, towers int)`,
  `create index coil_spec_form on coil_spec (topology, towers)`,
  `create table lead_set (part_id bigint primary key references part, leads int, longest_mm double precision)`,
  `create index lead_set_leads on lead_set (leads)`,
  `create index part_distributor on part (kind) where kind in ('cap', 'rotor')`,
  `grant select on coil_spec, lead_set to brackenfell_app`,
  `grant insert, update, delete on coil_spec, lead_set to brackenfell_app`,
];
