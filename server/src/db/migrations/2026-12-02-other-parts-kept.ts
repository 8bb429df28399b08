import { sql, type Kysely } from 'kysely';

/** Coils, sets of leads, caps and rotors say from which version of the catalogue their facts hold, as plugs do. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const STATEMENTS = [
  `alter table coil_spec add column catalogue_version bigint not null default 1`,
  `alter table lead_set add column catalogue_version bigint not null default 1`,
  `create index coil_spec_version on coil_spec (catalogue_version)`,
  `create index lead_set_version on lead_set (catalogue_version)`,
  `create table distributor_spec (
     part_id bigint primary key references part, family text, catalogue_version bigint not null default 1)`,
  `create index distributor_spec_version on distributor_spec (catalogue_version)`,
  `insert into distributor_spec (part_id, family)
     select p.id, (select f.value #>> '{}' from chosen_figure c join figure f on f.id = c.figure_id
                    where c.part_id = p.id and c.rules and f.attribute in ('cap.family', 'rotor.family') limit 1)
       from part p where p.kind in ('cap', 'rotor')`,
  `grant select, insert, update, delete on distributor_spec to brackenfell_app`,
];
