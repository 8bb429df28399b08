import {
  forceCollide,
  forceLink,
  forceManyBody,
  forceRadial,
  forceSimulation,
  type SimulationNodeDatum,
} from 'd3-force';
import type { PartGraph } from '@brackenfell/contract/part';

export interface PlacedNode extends SimulationNodeDatum {
  readonly partId: string;
  readonly hops: number;
  x: number;
  y: number;
}

/** Rings stand closer the further out they are, so that far numbers do not make the near ones small. */
const radius = (hops: number): number => 140 * hops ** 0.7;
const RING = 140;
const TICKS = 220;

/** A small generator of the same numbers every time: two looks at one part give one picture. */
function seeded(): () => number {
  let state = 42;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 0x1_0000_0000;
  };
}

/** Places of a part's neighbours around it: nearer references on nearer rings. Lengths in px, the part at 0, 0. */
export function layOut(graph: PartGraph): PlacedNode[] {
  const perRing = new Map<number, number>();
  for (const { hops } of graph.nodes) perRing.set(hops, (perRing.get(hops) ?? 0) + 1);
  const placed = new Map<number, number>();
  const nodes = graph.nodes.map(({ partId, hops }): PlacedNode => {
    const i = placed.get(hops) ?? 0;
    placed.set(hops, i + 1);
    const angle = (2 * Math.PI * i) / perRing.get(hops)! + hops * 0.7;
    const node = { partId, hops, x: radius(hops) * Math.cos(angle), y: radius(hops) * Math.sin(angle) };
    return hops === 0 ? { ...node, fx: 0, fy: 0 } : node;
  });
  forceSimulation(nodes)
    .randomSource(seeded())
    .force('charge', forceManyBody().strength(-240))
    .force('collide', forceCollide(50).iterations(3))
    .force('ring', forceRadial<PlacedNode>(({ hops }) => radius(hops)).strength(0.8))
    .force(
      'link',
      forceLink<PlacedNode, { source: string; target: string }>(
        graph.edges.map(({ from, to }) => ({ source: from, target: to })),
      )
        .id(({ partId }) => partId)
        .distance(RING)
        .strength(0.05),
    )
    .stop()
    .tick(TICKS);
  return nodes;
}

/** References between the same two parts are one line; the strongest grade is drawn and all are told. */
export function bundle(edges: PartGraph['edges']): PartGraph['edges'][number][][] {
  const bundles = new Map<string, PartGraph['edges'][number][]>();
  for (const edge of edges) {
    const key = [edge.from, edge.to].sort().join(' ');
    const own = bundles.get(key);
    if (own) own.push(edge);
    else bundles.set(key, [edge]);
  }
  return [...bundles.values()];
}
