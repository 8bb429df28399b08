import { sql } from 'kysely';
import type { ReferenceEdge } from '@brackenfell/core/interchange/trail';
import type { Renaming } from '@brackenfell/core/interchange/supersession';
import type { Database } from '../db/database.ts';

export interface StoredEdge extends ReferenceEdge {
  readonly source: string;
  readonly notedOn: string;
  readonly note: string | null;
  readonly condition: string | null;
}

/** A chain of renamings longer than this is walked no further; none at a counter comes near it. */
const MOST_RENAMINGS = 12;
/** Weak links of one cluster that are looked at: a hub's thousands would be no help to anybody. */
const MOST_WEAK = 120;

const EDGE_COLUMNS = sql`r.id, r.from_part_id as "from", r.to_part_id as "to", r.grade, r.source,
  r.noted_on as "notedOn", r.note, r.condition`;

/**
 * Every reference that could lie on a trail from the given parts: the trusted ones of their look-alike clusters and of the
 * clusters that renamings lead to, and a capped list of weak ones at those. One query over indexes by cluster.
 */
export async function readEdgesAround(db: Database, partIds: readonly string[]): Promise<StoredEdge[]> {
  if (partIds.length === 0) return [];
  const { rows } = await sql<StoredEdge>`
    with recursive reached (cluster_id, depth) as (
      select distinct cluster_id, 0 from part where id = any(${partIds}::bigint[])
      union
      select r.to_cluster_id, x.depth + 1
        from reached x join reference r on r.from_cluster_id = x.cluster_id
       where r.grade = 'supersedes' and r.rejected_at is null and x.depth < ${MOST_RENAMINGS}
    ), near as (select distinct cluster_id from reached)
    select ${EDGE_COLUMNS} from near n join reference r on r.from_cluster_id = n.cluster_id
     where r.rejected_at is null and r.grade in ('same', 'supersedes', 'equivalent')
    union all
    select ${EDGE_COLUMNS} from near n cross join lateral (
      select * from reference w where w.from_cluster_id = n.cluster_id and w.rejected_at is null
         and w.grade in ('alternative', 'observed') limit ${MOST_WEAK}) r
    union all
    select ${EDGE_COLUMNS} from near n cross join lateral (
      select * from reference w where w.to_cluster_id = n.cluster_id and w.from_cluster_id <> n.cluster_id
         and w.rejected_at is null and w.grade in ('alternative', 'observed') limit ${MOST_WEAK}) r`.execute(db);
  const edges = new Map(rows.map((row) => [row.id, row]));
  return [...edges.values()].sort((a, b) => Number(a.id) - Number(b.id));
}

/** The renamings that start from the given parts and from all they lead to. */
export async function readRenamings(db: Database, partIds: readonly string[]): Promise<Renaming[]> {
  if (partIds.length === 0) return [];
  const { rows } = await sql<Renaming>`
    with recursive onward (from_part_id, to_part_id, condition, depth) as (
      select r.from_part_id, r.to_part_id, r.condition, 1 from reference r
       where r.from_part_id = any(${partIds}::bigint[]) and r.grade = 'supersedes' and r.rejected_at is null
      union
      select r.from_part_id, r.to_part_id, r.condition, o.depth + 1
        from onward o join reference r on r.from_part_id = o.to_part_id
       where r.grade = 'supersedes' and r.rejected_at is null and o.depth < ${MOST_RENAMINGS}
    )
    select distinct from_part_id as "from", to_part_id as "to", condition from onward order by 1, 2`.execute(db);
  return rows;
}

/** Members of look-alike clusters and the references that join them. */
export async function readClusters(db: Database, clusterIds: readonly string[]) {
  if (clusterIds.length === 0) return { members: [], edges: [] };
  const members = await db
    .selectFrom('part')
    .select(['id', 'cluster_id'])
    .where('cluster_id', 'in', [...clusterIds])
    .execute();
  const edges = await db
    .selectFrom('reference')
    .select(['id', 'from_part_id as from', 'to_part_id as to', 'grade'])
    .where('from_cluster_id', 'in', [...clusterIds])
    .where('rejected_at', 'is', null)
    .where('grade', 'in', ['same', 'equivalent'])
    .execute();
  return { members, edges };
}
