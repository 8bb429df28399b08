import { sql } from 'kysely';
import { nameHash, neighbourKeys } from '@brackenfell/core/part-numbers/one-edit';
import type { Database, Writing } from '../db/database.ts';
import { nameAllClusters, rebuildClusters } from '../interchange/cluster-store.ts';

const BATCH = 2000;

/**
 * Computes what is derived from names and references and still missing: the neighbourhood of each name, and the clusters.
 * Runs after migrations and loads, as the owner; where nothing is missing it only looks.
 */
export async function completeDerived(db: Database): Promise<void> {
  await fillNeighbours(db);
  const unnamed = await db.selectFrom('part').select('id').where('cluster_id', 'is', null).limit(1).executeTakeFirst();
  if (unnamed) await rebuildClusters(db);
}

/** The same within the caller's transaction, which holds every cluster: for a whole catalogue that is written in one step. */
export async function deriveWithin(trx: Writing): Promise<void> {
  await fillNeighbours(trx);
  await nameAllClusters(trx);
}

/** Whether a name is filed, looked up as a question would be. */
const isFiled = async (db: Database, name: { id: string; fold_key: string }): Promise<boolean> =>
  (await db
    .selectFrom('name_neighbour')
    .select('name_id')
    .where('hash', '=', String(nameHash(name.fold_key)))
    .where('name_id', '=', name.id)
    .executeTakeFirst()) !== undefined;

async function fillNeighbours(db: Database): Promise<void> {
  const newest = await db.selectFrom('part_name').select(['id', 'fold_key']).orderBy('id', 'desc').executeTakeFirst();
  // Names are filed in the order of their ids: where the newest is, all are, and millions need not be looked through.
  if (!newest || (await isFiled(db, newest))) return;
  const last = await db
    .selectFrom('name_neighbour')
    .select((eb) => eb.fn.max<string | null>('name_id').as('id'))
    .executeTakeFirstOrThrow();
  let after = last.id ?? '0';
  for (;;) {
    const names = await db
      .selectFrom('part_name')
      .select(['id', 'fold_key'])
      .where('id', '>', after)
      .orderBy('id')
      .limit(BATCH)
      .execute();
    if (names.length === 0) return;
    const rows = names.flatMap(({ id, fold_key }) => neighbourKeys(fold_key).map((hash) => [hash, id] as const));
    await sql`insert into name_neighbour (hash, name_id)
      select * from unnest(${rows.map(([hash]) => hash)}::bigint[], ${rows.map(([, id]) => id)}::bigint[])`.execute(db);
    after = names.at(-1)!.id;
  }
}
