import { describe, expect, test } from '@jest/globals';
import type { PartGraph } from '@brackenfell/contract/part';
import { bundle, layOut } from './graph-geometry.ts';

const node = (partId: string, hops: number) =>
  ({ partId, printed: `N ${partId}`, maker: 'Kestrane', kind: 'plug', onHand: 1, hops }) as const;
const edge = (edgeId: string, from: string, to: string) =>
  ({ edgeId, from, to, grade: 'equivalent', source: 'a list', notedOn: '2024-01-01', note: null }) as const;
const graph: PartGraph = {
  partId: '1',
  nodes: [node('1', 0), node('2', 1), node('3', 1), node('4', 2)],
  edges: [edge('a', '1', '2'), edge('b', '2', '1'), edge('c', '1', '3'), edge('d', '3', '4')],
  more: 0,
};

describe('the graph of a part’s references', () => {
  test('is laid out the same every time, with the part in the middle and nearer references nearer', () => {
    const once = layOut(graph);
    expect(layOut(graph).map(({ x, y }) => [x, y])).toEqual(once.map(({ x, y }) => [x, y]));
    const far = once.map(({ x, y }) => Math.hypot(x, y));
    expect(far[0]).toBe(0);
    expect(far[3]!).toBeGreaterThan(far[2]!);
  });

  test('draws what several lists say of two parts as one line', () => {
    expect(bundle(graph.edges).map((own) => own.map(({ edgeId }) => edgeId))).toEqual([['a', 'b'], ['c'], ['d']]);
  });
});
