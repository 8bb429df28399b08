import type { ReferenceEdge } from './trail.ts';

/** Every part that references join to one, with the fewest references between, nearest first; direction does not count. */
export function nearestFirst(start: string, edges: readonly ReferenceEdge[]): Map<string, number> {
  const links = new Map<string, string[]>();
  const add = (from: string, to: string) => {
    const own = links.get(from);
    if (own) own.push(to);
    else links.set(from, [to]);
  };
  for (const { from, to } of edges) {
    add(from, to);
    add(to, from);
  }
  const hops = new Map([[start, 0]]);
  // A map keeps the order of insertion, so walking it while it grows is a breadth-first search.
  for (const [at, distance] of hops)
    for (const to of links.get(at) ?? []) if (!hops.has(to)) hops.set(to, distance + 1);
  return hops;
}
