import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

/** Engines each part in hand points to: those that name a number of its look-alike cluster, and those it is listed for. */
export async function readEnginesOfParts(
  db: Database,
  partIds: readonly string[],
): Promise<Map<string, ReadonlySet<string>>> {
  if (partIds.length === 0) return new Map();
  const { rows } = await sql<{ part_id: string; engine_id: string }>`
    select a.id as part_id, n.engine_id from part a join part p on p.cluster_id = a.cluster_id
      join named_number n on n.part_id = p.id where a.id = any(${partIds}::bigint[])
    union select l.part_id, l.engine_id from listing l where l.part_id = any(${partIds}::bigint[])`.execute(db);
  const engines = new Map<string, Set<string>>();
  for (const { part_id, engine_id } of rows) engines.set(part_id, (engines.get(part_id) ?? new Set()).add(engine_id));
  return engines;
}
