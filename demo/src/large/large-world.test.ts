import { describe, expect, test } from '@jest/globals';
import { clusterContradictions } from '@brackenfell/core/catalogue-audit/cluster-contradictions';
import { clusterByMember } from '@brackenfell/core/interchange/clusters';
import { supersessionRings } from '@brackenfell/core/interchange/supersession';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { largeWorld, SHAPES } from './large-world.ts';

const FIRST = 1000;
const world = largeWorld(5, 6000, FIRST);
const references = [...world.references()].map((r, i) => ({
  id: String(i),
  from: String(r.from),
  to: String(r.to),
  grade: r.grade,
  clusters: [r.fromCluster, r.toCluster],
}));

describe('the seeded large world', () => {
  test('is the same for the same seed, and another for another', () => {
    const again = largeWorld(5, 6000, FIRST);
    expect(again.parts).toEqual(world.parts);
    expect([...again.references()].length).toBe(references.length);
    expect(largeWorld(6, 6000, FIRST).parts[0]).not.toEqual(world.parts[0]);
  });

  test('has the proportions of a full catalogue, and every number once', () => {
    const { parts } = world;
    const names = parts.reduce((sum, part) => sum + 1 + part.names.length, 0);
    const share = (count: number) => count / parts.length;
    expect(share(names)).toBeCloseTo(3.5, 1);
    expect(share(references.length)).toBeGreaterThan(4.5);
    expect(share(parts.filter(({ kind }) => kind === 'plug').length)).toBeCloseTo(0.12, 1);
    expect(share([...world.engines()].length)).toBeCloseTo(0.04, 2);
    expect(new Set(parts.map(({ number }) => normalForm(number))).size).toBe(parts.length);
  });

  test('names each part’s cluster as its references make it', () => {
    const made = clusterByMember(
      world.parts.map(({ id }) => String(id)),
      references,
    );
    expect(world.parts.filter(({ id, cluster }) => made.get(String(id)) !== String(cluster))).toEqual([]);
    expect(references.filter((r) => String(r.clusters[0]) !== made.get(r.from))).toEqual([]);
  });

  test('contradicts itself in reach exactly where that was planted, and never renames in a ring', () => {
    const reach = new Map(
      world.parts
        .filter(({ kind }) => kind === 'plug')
        .map(({ id, shape }) => [String(id), SHAPES[shape]!['plug.reachMm']!]),
    );
    const trusted = references.filter(({ grade }) => grade === 'same' || grade === 'equivalent');
    const found = clusterContradictions(
      world.parts.map(({ id }) => String(id)),
      trusted,
      (id) => reach.has(id),
      (a, b) => reach.has(a) && reach.has(b) && Math.abs(reach.get(a)! - reach.get(b)!) > 0.3,
    );
    const clusterOf = new Map(world.parts.map(({ id, cluster }) => [String(id), cluster]));
    const contradicting = new Set(found.map(({ a }) => clusterOf.get(a)));
    expect([...contradicting].sort()).toEqual(world.planted.map(({ cluster }) => cluster).sort());
    expect(supersessionRings(references.filter(({ grade }) => grade === 'supersedes'))).toEqual([]);
  });
});
