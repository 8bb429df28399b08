import { sql } from 'kysely';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Database } from '../db/database.ts';

/** Makers' statements that a part of one kind suits the engine. */
export async function readListings(db: Database, engineId: string, kind: PartKind) {
  return db
    .selectFrom('listing')
    .innerJoin('part', 'part.id', 'listing.part_id')
    .selectAll('listing')
    .where('listing.engine_id', '=', engineId)
    .where('part.kind', '=', kind)
    .orderBy('listing.id')
    .execute();
}

/** What coils are looked for by: what the engine plainly asks. */
export interface AskedCoil {
  readonly topologies: readonly string[];
  readonly connectors: readonly string[];
  readonly pins: readonly number[];
}

/** Of a common form there may be thousands; those that are read here are held against what the engine asks besides. */
const MOST_COILS = 5000;

/** Coils of a form, whoever speaks for them: those of which all of it is known first; and how many there are. */
export async function findCoils(db: Database, { topologies, connectors, pins }: AskedCoil) {
  const { rows } = await sql<{ id: string; all: number }>`
    select part_id as id, (count(*) over ())::int as all from coil_spec
     where topology = any(${topologies}::text[])
       and (connector is null or connector = any(${connectors}::text[]))
       and (pins is null or pins = any(${pins}::int[]))
     order by (connector is null)::int + (pins is null)::int, part_id limit ${MOST_COILS}`.execute(db);
  return { ids: rows.map(({ id }) => id), all: rows[0]?.all ?? 0 };
}

/** Sets of leads are looked for by how many ways they have to go, the longest of them, and the slack it may have, mm. */
export interface AskedLeads {
  readonly ways: number;
  readonly longestMm: number;
  readonly mostSlackMm: number;
}

/**
 * Sets of about as many leads as an engine asks, the nearest first: whose longest lead goes the longest way, the shorter the
 * sooner; then, by how much they differ, the others and those that nobody has measured. And how many there are.
 */
export async function findLeadSets(db: Database, { ways, longestMm, mostSlackMm }: AskedLeads, most: number) {
  const { rows } = await sql<{ id: string; all: number }>`
    with near as (
      (select part_id, 0 as off from lead_set
        where leads = ${ways} and longest_mm between ${longestMm}::float8 and ${longestMm + mostSlackMm}::float8
        order by longest_mm, part_id limit ${most})
      union all
      (select part_id, 1 + abs(leads - ${ways}) + coalesce(abs(longest_mm - ${longestMm}::float8) / 1000, 1) as off from lead_set
        where leads between ${ways - 1} and ${ways + 1}
          and not (leads = ${ways} and longest_mm between ${longestMm}::float8 and ${longestMm + mostSlackMm}::float8)
        order by 2, part_id
        limit ${most} - least(${most}, (select count(*) from (select from lead_set
          where leads = ${ways} and longest_mm between ${longestMm}::float8 and ${longestMm + mostSlackMm}::float8
          limit ${most}) exact))))
    select part_id as id,
           (select count(*) from lead_set where leads between ${ways - 1} and ${ways + 1})::int as all
      from near order by off limit ${most}`.execute(db);
  return { ids: rows.map(({ id }) => id), all: rows[0]?.all ?? 0 };
}
