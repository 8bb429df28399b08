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

/** What coils and leads are looked for by: what the engine plainly asks. */
export interface AskedForm {
  readonly topologies: readonly string[];
  readonly connectors: readonly string[];
  readonly pins: readonly number[];
  readonly leads: number;
}

/** Parts further than this are not looked through by form alone. */
const MOST_BY_FORM = 200;

/** Coils and lead sets of the form an engine asks, whoever speaks for them. Caps and rotors come by reference alone. */
export async function findByForm(db: Database, kind: PartKind, asked: AskedForm): Promise<string[]> {
  if (kind !== 'coil' && kind !== 'lead-set') return [];
  const { rows } = await (
    kind === 'coil'
      ? sql<{ id: string }>`select part_id as id from coil_spec
         where topology = any(${asked.topologies}::text[])
           and (connector is null or connector = any(${asked.connectors}::text[]))
           and (pins is null or pins = any(${asked.pins}::int[])) order by part_id limit ${MOST_BY_FORM}`
      : sql<{ id: string }>`select part_id as id from lead_set
         where leads between ${asked.leads - 1} and ${asked.leads + 1} order by part_id limit ${MOST_BY_FORM}`
  ).execute(db);
  return rows.map(({ id }) => id);
}
