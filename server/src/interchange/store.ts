import { sql } from 'kysely';
import type { ReferenceEdge } from '@brackenfell/core/interchange/trail';
import type { Renaming } from '@brackenfell/core/interchange/supersession';
import type { Database, Writing } from '../db/database.ts';

export interface StoredEdge extends ReferenceEdge {
  readonly source: string;
  readonly notedOn: string;
  readonly note: string | null;
  readonly condition: string | null;
  /** Set where it was told for a day; one to come counts for nothing yet. */
  readonly inForceFrom: string | null;
}

/** A chain of renamings longer than this is walked no further; none at a counter comes near it. */
const MOST_RENAMINGS = 12;
/** Weak links of one cluster that are looked at: a hub's thousands would be no help to anybody. */
const MOST_WEAK = 120;

const EDGE_COLUMNS = sql`r.id, r.from_part_id as "from", r.to_part_id as "to", r.grade, r.source,
  r.noted_on as "notedOn", r.note, r.condition, r.in_force_from as "inForceFrom"`;

/** References that count on the day; those to come are shown as such and walked by nobody. */
const IN_FORCE = sql`(r.in_force_from is null or r.in_force_from <= current_date)`;

/**
 * Every reference that could lie on a trail from the given parts: the trusted ones of their look-alike clusters and of the
 * clusters that renamings lead to, and a capped list of weak ones at those. One query over indexes by cluster.
 */
export async function readEdgesAround(
  db: Database,
  partIds: readonly string[],
  { withThoseToCome = false } = {},
): Promise<StoredEdge[]> {
  if (partIds.length === 0) return [];
  const counts = withThoseToCome ? sql`true` : IN_FORCE;
  const { rows } = await sql<StoredEdge>`
    with recursive reached (cluster_id, depth) as (
      select distinct cluster_id, 0 from part where id = any(${partIds}::bigint[])
      union
      select r.to_cluster_id, x.depth + 1
        from reached x join reference r on r.from_cluster_id = x.cluster_id
       where r.grade = 'supersedes' and r.rejected_at is null and x.depth < ${MOST_RENAMINGS} and ${counts}
    ), near as (select distinct cluster_id from reached)
    select ${EDGE_COLUMNS} from near n join reference r on r.from_cluster_id = n.cluster_id
     where r.rejected_at is null and r.grade in ('same', 'supersedes', 'equivalent') and ${counts}
    union all
    select ${EDGE_COLUMNS} from near n cross join lateral (
      select * from reference w where w.from_cluster_id = n.cluster_id and w.rejected_at is null
         and w.grade in ('alternative', 'observed') limit ${MOST_WEAK}) r where ${counts}
    union all
    select ${EDGE_COLUMNS} from near n cross join lateral (
      select * from reference w where w.to_cluster_id = n.cluster_id and w.from_cluster_id <> n.cluster_id
         and w.rejected_at is null and w.grade in ('alternative', 'observed') limit ${MOST_WEAK}) r
     where ${counts}`.execute(db);
  const edges = new Map(rows.map((row) => [row.id, row]));
  return [...edges.values()].sort((a, b) => Number(a.id) - Number(b.id));
}

/** The renamings that start from the given parts and from all they lead to. */
export async function readRenamings(db: Database, partIds: readonly string[]): Promise<Renaming[]> {
  if (partIds.length === 0) return [];
  const { rows } = await sql<Renaming>`
    with recursive onward (from_part_id, to_part_id, condition, engine_ids, depth) as (
      select r.from_part_id, r.to_part_id, r.condition, r.engine_ids, 1 from reference r
       where r.from_part_id = any(${partIds}::bigint[]) and r.grade = 'supersedes' and r.rejected_at is null and ${IN_FORCE}
      union
      select r.from_part_id, r.to_part_id, r.condition, r.engine_ids, o.depth + 1
        from onward o join reference r on r.from_part_id = o.to_part_id
       where r.grade = 'supersedes' and r.rejected_at is null and o.depth < ${MOST_RENAMINGS} and ${IN_FORCE}
    )
    select distinct from_part_id as "from", to_part_id as "to", condition, engine_ids as "engineIds"
      from onward order by 1, 2`.execute(db);
  return rows;
}

/** Members of look-alike clusters and the references that join them. */
export async function readClusters(db: Database, clusterIds: readonly string[]) {
  if (clusterIds.length === 0) return { members: [], edges: [] };
  const members = await db
    .selectFrom('part')
    .select(['id', 'cluster_id'])
    .where(sql<boolean>`cluster_id = any(${clusterIds}::bigint[])`)
    .execute();
  const edges = await db
    .selectFrom('reference')
    .select(['id', 'from_part_id as from', 'to_part_id as to', 'grade'])
    .where(sql<boolean>`from_cluster_id = any(${clusterIds}::bigint[])`)
    .where('rejected_at', 'is', null)
    .where('grade', 'in', ['same', 'equivalent'])
    .execute();
  return { members, edges };
}

export const findEdge = (db: Database, edgeId: string) =>
  db.selectFrom('reference').select(['from_part_id', 'to_part_id']).where('id', '=', edgeId).executeTakeFirst();

/** Cuts a reference or joins it again; false where it already was so. */
export async function rejectEdge(
  trx: Writing,
  { edgeId, staffId, cut }: { edgeId: string; staffId: string; cut: boolean },
): Promise<boolean> {
  const { numUpdatedRows } = await trx
    .updateTable('reference')
    .set({ rejected_at: cut ? new Date() : null, rejected_by: cut ? staffId : null })
    .where('id', '=', edgeId)
    .where('rejected_at', cut ? 'is' : 'is not', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export const setWithdrawn = (trx: Writing, figureIds: readonly string[], withdrawn: boolean) =>
  trx
    .updateTable('figure')
    .set({ withdrawn_at: withdrawn ? new Date() : null })
    .where(sql<boolean>`id = any(${figureIds}::bigint[])`)
    .returning(['id', 'part_id'])
    .execute();
