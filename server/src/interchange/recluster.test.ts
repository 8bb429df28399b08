import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { chance } from '@brackenfell/demo/large/random';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { editReference } from './edit-reference.ts';
import { computeAllClusters, rebuildClusters, settleClusters } from './cluster-store.ts';
import { readEdgesAround } from './store.ts';

let counter: TestCounter;
let staffId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  ({ id: staffId } = await counter.db.selectFrom('staff').select('id').executeTakeFirstOrThrow());
});
afterAll(() => counter.close());

const edit = (edgeId: string, cut: boolean) =>
  counter.db.transaction().execute((trx) => editReference(trx, { edgeId, staffId, cut }));

/** Parts and references whose kept cluster is not the one that follows from all references. */
async function astray(): Promise<string[]> {
  const all = await computeAllClusters(counter.db);
  const clusterOf = (id: string) => String(all.of(Number(id)));
  const parts = await counter.db.selectFrom('part').select(['id', 'cluster_id']).execute();
  const edges = await counter.db.selectFrom('reference').selectAll().execute();
  return [
    ...parts.filter((p) => p.cluster_id !== clusterOf(p.id)).map((p) => `part ${p.id}`),
    ...edges
      .filter((e) => e.from_cluster_id !== clusterOf(e.from_part_id) || e.to_cluster_id !== clusterOf(e.to_part_id))
      .map((e) => `reference ${e.id}`),
  ];
}

const joining = () =>
  counter.db
    .selectFrom('reference')
    .select(['id', 'rejected_at'])
    .where('grade', 'in', ['same', 'equivalent'])
    .orderBy('id')
    .execute();

describe('references around a part', () => {
  test('hold what a renaming leads to, but not what was cut', async () => {
    const old = await counter.db
      .selectFrom('part_name')
      .select('part_id')
      .where('printed', '=', '40-61-118-340')
      .executeTakeFirstOrThrow();
    const edges = await readEdgesAround(counter.db, [old.part_id]);
    const renaming = edges.find(({ grade, from }) => grade === 'supersedes' && from === old.part_id)!;
    expect(edges.some(({ from, grade }) => from === renaming.to && grade === 'same')).toBe(true);
    await edit(renaming.id, true);
    const after = await readEdgesAround(counter.db, [old.part_id]);
    expect(after.map(({ id }) => id)).not.toContain(renaming.id);
    expect(after.some(({ from }) => from === renaming.to)).toBe(false);
    await edit(renaming.id, false);
  });

  test('of no part are none', async () => {
    expect(await readEdgesAround(counter.db, [])).toEqual([]);
  });
});

describe('look-alike clusters in the database', () => {
  test('follow from the references after any cutting and joining', async () => {
    const by = chance(11);
    for (let round = 0; round < 40; round += 1) {
      const edge = by.pick(await joining());
      await edit(edge.id, edge.rejected_at === null);
    }
    expect(await astray()).toEqual([]);
  });

  test('end right when six people cut and join in one cluster at once', async () => {
    const hub = await counter.db
      .selectFrom('part_name')
      .innerJoin('part', 'part.id', 'part_name.part_id')
      .select('part.cluster_id')
      .where('printed', '=', 'KN 419G-63DR')
      .executeTakeFirstOrThrow();
    const edges = await counter.db
      .selectFrom('reference')
      .select('id')
      .where('from_cluster_id', '=', hub.cluster_id)
      .where('grade', 'in', ['same', 'equivalent'])
      .orderBy('id')
      .limit(6)
      .execute();
    const done = await Promise.allSettled(edges.map(({ id }) => edit(id, true)));
    expect(done.every(({ status }) => status === 'fulfilled')).toBe(true);
    expect(await astray()).toEqual([]);
    await Promise.all(edges.map(({ id }) => edit(id, false)));
    expect(await astray()).toEqual([]);
  });

  test('are mended by a full rebuild, which then finds nothing to do', async () => {
    await counter.owner
      .updateTable('part')
      .set({ cluster_id: '1' })
      .where('id', '>', '1')
      .where('id', '<', '40')
      .execute();
    expect((await astray()).length).toBeGreaterThan(0);
    expect(await rebuildClusters(counter.owner)).toBeGreaterThan(0);
    expect(await astray()).toEqual([]);
    expect(await rebuildClusters(counter.owner)).toBe(0);
  });

  test('follow a list that joins more numbers than are read at once', async () => {
    const parts = await counter.owner
      .updateTable('part')
      .set({ cluster_id: '1' })
      .where('id', '>', '1')
      .where('id', '<', '40')
      .returning('id')
      .execute();
    const strangers = Array.from({ length: 20_001 }, (_, i) => String(1_000_000 + i));
    await counter.db
      .transaction()
      .execute((trx) => settleClusters(trx, new Set([...parts.map(({ id }) => id), ...strangers])));
    expect(await astray()).toEqual([]);
  });

  test('a reference cut twice is cut once', async () => {
    const [edge] = await joining();
    await edit(edge!.id, false);
    expect(await edit(edge!.id, true)).toBe(true);
    expect(await edit(edge!.id, true)).toBe(false);
    expect(await edit('999999', true)).toBe(false);
  });
});
