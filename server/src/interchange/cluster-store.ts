import { sql } from 'kysely';
import { clusterByMember, Clusters } from '@brackenfell/core/interchange/clusters';
import { readCatalogueVersion } from '../catalogue/version-store.ts';
import type { Database, Writing } from '../db/database.ts';
import { readClusters } from './store.ts';

/** Taken shared by every edit of references and alone by the swap of a full rebuild. Any number that nothing else uses. */
const CLUSTER_LOCK = 7301;

/**
 * Locks the clusters of the given parts against every other edit until the transaction ends, and returns their ids. A
 * cluster may be renamed while its lock is waited for, so the ids are read again until they stand still. Locks are taken
 * in order; where a renaming upsets the order and two edits wait for each other, the database undoes one, which is told to
 * try again.
 */
export async function lockClusters(trx: Writing, partIds: readonly string[]): Promise<string[]> {
  await sql`select pg_advisory_xact_lock_shared(${CLUSTER_LOCK})`.execute(trx);
  const read = async () => {
    const rows = await trx
      .selectFrom('part')
      .select('cluster_id')
      .where('id', 'in', [...partIds])
      .distinct()
      .execute();
    return rows.map((row) => row.cluster_id!).sort((a, b) => Number(a) - Number(b));
  };
  let wanted = await read();
  const held = new Set<string>();
  while (wanted.some((id) => !held.has(id))) {
    for (const id of wanted) {
      if (held.has(id)) continue;
      await sql`select pg_advisory_xact_lock(${CLUSTER_LOCK}, hashint8(${id}::bigint))`.execute(trx);
      held.add(id);
    }
    wanted = await read();
  }
  return wanted;
}

/** Holds every edit of references off until the transaction ends: for a list that joins thousands. */
export async function lockAllClusters(trx: Writing): Promise<void> {
  await sql`select pg_advisory_xact_lock(${CLUSTER_LOCK})`.execute(trx);
}

/** Makes the given clusters anew from their own references. The caller holds their locks. */
export async function recluster(trx: Writing, clusterIds: readonly string[]): Promise<void> {
  const { members, edges } = await readClusters(trx, clusterIds);
  const clusters = clusterByMember(
    members.map(({ id }) => id),
    edges,
  );
  const moved = members.filter(({ id, cluster_id }) => clusters.get(id) !== cluster_id);
  await nameClusters(
    trx,
    moved.map(({ id }) => [id, clusters.get(id)!]),
  );
}

/** So many parts' clusters are read and joined at once; of more, all are, four bytes a part. */
const MOST_JOINED_AT_ONCE = 20_000;

/** Makes the clusters of the given parts anew, or where there are very many, all of them. The caller holds every cluster. */
export async function settleClusters(trx: Writing, partIds: ReadonlySet<string>): Promise<void> {
  if (partIds.size > MOST_JOINED_AT_ONCE) {
    await nameAllClusters(trx);
    return;
  }
  if (partIds.size === 0) return;
  const { rows } = await sql<{ cluster_id: string }>`
    select distinct cluster_id from part where id = any(${[...partIds]}::bigint[])`.execute(trx);
  await recluster(
    trx,
    rows.map(({ cluster_id }) => cluster_id),
  );
}

/** Makes all clusters anew. The caller holds every cluster. */
export async function nameAllClusters(trx: Writing): Promise<void> {
  await nameAll(trx, await computeAllClusters(trx));
}

/** Writes parts' clusters, on the parts and on their references. */
async function nameClusters(trx: Writing, moved: readonly (readonly [part: string, cluster: string])[]): Promise<void> {
  if (moved.length === 0) return;
  const parts = moved.map(([part]) => part);
  const clusters = moved.map(([, cluster]) => cluster);
  const named = sql`unnest(${parts}::bigint[], ${clusters}::bigint[]) as m (part_id, cluster_id)`;
  await sql`update part p set cluster_id = m.cluster_id from ${named} where p.id = m.part_id`.execute(trx);
  await sql`update reference r set from_cluster_id = m.cluster_id from ${named} where r.from_part_id = m.part_id`.execute(
    trx,
  );
  await sql`update reference r set to_cluster_id = m.cluster_id from ${named} where r.to_part_id = m.part_id`.execute(
    trx,
  );
}

/** Rows read at a time: few enough that parsing them holds nothing else up. */
const STRIDE = 5000;

/** Every part's cluster as it follows from all references; members are part ids. Four bytes a part, nothing is written. */
export async function computeAllClusters(db: Database): Promise<Clusters> {
  const last = await db
    .selectFrom('part')
    .select((eb) => eb.fn.max<string | null>('id').as('id'))
    .executeTakeFirstOrThrow();
  const clusters = new Clusters(Number(last.id ?? 0) + 1);
  for (let after = '0'; ;) {
    const rows = await db
      .selectFrom('reference')
      .select(['id', 'from_part_id', 'to_part_id'])
      .where('id', '>', after)
      .where('rejected_at', 'is', null)
      .where('grade', 'in', ['same', 'equivalent'])
      .orderBy('id')
      .limit(STRIDE)
      .execute();
    for (const row of rows) clusters.join(Number(row.from_part_id), Number(row.to_part_id));
    if (rows.length < STRIDE) return clusters;
    after = rows.at(-1)!.id;
  }
}

/**
 * Makes all clusters anew. The long part, reading and joining, runs beside other work; then, with every edit held off, it is
 * done again where something was edited meanwhile, and only what differs is written. Returns how many parts moved.
 */
export async function rebuildClusters(db: Database): Promise<number> {
  const before = await readCatalogueVersion(db);
  let clusters = await computeAllClusters(db);
  return db.transaction().execute(async (trx) => {
    await lockAllClusters(trx);
    if ((await readCatalogueVersion(trx)) !== before) clusters = await computeAllClusters(trx);
    return nameAll(trx, clusters);
  });
}

/** Writes every part's cluster where it is another than the one that stands; returns how many were. */
async function nameAll(trx: Writing, clusters: Clusters): Promise<number> {
  let moved = 0;
  for (let after = '0'; ;) {
    const rows = await trx
      .selectFrom('part')
      .select(['id', 'cluster_id'])
      .where('id', '>', after)
      .orderBy('id')
      .limit(STRIDE)
      .execute();
    const named = rows
      .map(({ id, cluster_id }) => ({ id, was: cluster_id, is: String(clusters.of(Number(id))) }))
      .filter(({ was, is }) => was !== is)
      .map(({ id, is }) => [id, is] as const);
    await nameClusters(trx, named);
    moved += named.length;
    if (rows.length < STRIDE) return moved;
    after = rows.at(-1)!.id;
  }
}
