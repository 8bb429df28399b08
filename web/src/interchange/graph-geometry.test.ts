import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { REFERENCE_GRADES, type ReferenceGrade } from '@brackenfell/core/interchange/trail';
import type { PartGraph } from '@brackenfell/contract/part';
import { bundle, layOut, NODE_WIDTH, ROW } from './graph-geometry.ts';

const node = (partId: string, hops: number) =>
  ({
    partId,
    printed: `N ${partId}`,
    maker: 'Kestrane',
    kind: 'plug',
    onHand: 1,
    hops,
    verdict: null,
    reason: null,
  }) as const;
const edge = (edgeId: string, from: string, to: string, grade: ReferenceGrade = 'equivalent') =>
  ({
    edgeId,
    from,
    to,
    grade,
    source: 'a list',
    notedOn: '2024-01-01',
    inForceFrom: null,
    note: null,
    contradicts: null,
  }) as const;
const graph: PartGraph = {
  partId: '1',
  nodes: [node('1', 0), node('2', 1), node('3', 1), node('4', 2), node('5', 1), node('6', 1)],
  edges: [
    edge('a', '1', '2'),
    edge('b', '2', '1'),
    edge('c', '1', '3', 'same'),
    edge('d', '3', '4'),
    edge('e', '5', '1', 'supersedes'),
    edge('f', '1', '6', 'supersedes'),
    edge('g', '2', '3', 'alternative'),
  ],
  more: 0,
};

describe('the references around a part', () => {
  test('stand by grade, strongest first, with what replaced and what is replaced above and below the middle', () => {
    const drawn = layOut(graph);
    expect(drawn.bands.map(({ grade }) => grade)).toEqual(['same', 'equivalent']);
    expect(drawn.rows.map(({ node: { partId }, step }) => [partId, step])).toEqual([
      ['3', 1],
      ['4', 2],
      ['2', 1],
    ]);
    expect([drawn.before[0]!.node.partId, drawn.after[0]!.node.partId]).toEqual(['5', '6']);
    expect(drawn.before[0]!.y).toBeLessThan(drawn.middle.y);
    expect(drawn.after[0]!.y).toBeGreaterThan(drawn.middle.y);
  });

  test('are one line where several lists say the same, and are told beside the drawing where they would cross it', () => {
    expect(bundle(graph.edges)[0]!.map(({ edgeId }) => edgeId)).toEqual(['a', 'b']);
    expect(layOut(graph).rows.find(({ node: { partId } }) => partId === '2')!.edges).toHaveLength(2);
    expect(layOut(graph).beside.map(({ edgeId }) => edgeId)).toEqual(['g']);
  });

  test('beyond a dozen of one grade are counted', () => {
    const many = Array.from({ length: 15 }, (_, i) => String(i + 2));
    const wide = layOut({
      partId: '1',
      nodes: [node('1', 0), ...many.map((id) => node(id, 1))],
      edges: many.map((id) => edge(id, '1', id)),
      more: 0,
    });
    expect([wide.rows.length, wide.bands[0]!.folded]).toEqual([12, 3]);
  });

  test('never overlap, whatever refers to whatever', () => {
    const anyGraph = fc
      .array(fc.tuple(fc.nat(13), fc.nat(13), fc.constantFrom(...REFERENCE_GRADES)), { minLength: 1, maxLength: 40 })
      .map((pairs) => {
        const edges = pairs.filter(([a, b]) => a !== b).map(([a, b, grade], i) => edge(`e${i}`, `${a}`, `${b}`, grade));
        const hops = new Map([['0', 0]]);
        for (const [at, distance] of hops)
          for (const { from, to } of edges)
            if (from === at || to === at) {
              const other = from === at ? to : from;
              if (!hops.has(other)) hops.set(other, distance + 1);
            }
        const nodes = [...hops].map(([id, distance]) => node(id, distance));
        return { partId: '0', nodes, edges: edges.filter(({ from }) => hops.has(from)), more: 0 };
      });
    fc.assert(
      fc.property(anyGraph, (one) => {
        const { rows, before, middle, after } = layOut(one);
        const all = [...rows, ...before, middle, ...after];
        for (const [i, a] of all.entries())
          for (const b of all.slice(i + 1))
            expect(Math.abs(a.x - b.x) >= NODE_WIDTH || Math.abs(a.y - b.y) >= ROW).toBe(true);
      }),
    );
  });
});
