import type { ReferenceEdge } from '../interchange/trail.ts';

/** Two members of a look-alike cluster that cannot both be right, and the shortest chain of references that joins them. */
export interface ClusterContradiction {
  readonly a: string;
  readonly b: string;
  /** Edges from a to b in order; of parallel edges, all stand in `edges`. */
  readonly path: readonly { readonly edge: ReferenceEdge; readonly to: string }[];
  /** Every reference whose cutting would part the two at this place. */
  readonly edges: readonly string[];
}

/** Whether two members differ in one fact; undefined while either is not known. */
export type Differs = (a: string, b: string) => boolean | undefined;
type Links = ReadonlyMap<string, readonly { readonly edge: ReferenceEdge; readonly to: string }[]>;

function linksOf(edges: readonly ReferenceEdge[]): Links {
  const links = new Map<string, { edge: ReferenceEdge; to: string }[]>();
  const add = (from: string, edge: ReferenceEdge, to: string) => {
    const own = links.get(from);
    if (own) own.push({ edge, to });
    else links.set(from, [{ edge, to }]);
  };
  for (const edge of edges) {
    add(edge.from, edge, edge.to);
    add(edge.to, edge, edge.from);
  }
  return links;
}

/**
 * Contradictions of one fact within a cluster. A reference between two members that differ is named itself. Where the fact
 * is not known in between (an engine maker's number has no thread), the members around the unknown ones are compared, and
 * the fewer are held against the more.
 */
export function clusterContradictions(
  members: readonly string[],
  edges: readonly ReferenceEdge[],
  isKnown: (member: string) => boolean,
  differs: Differs,
): ClusterContradiction[] {
  const direct = edges
    .filter((edge) => differs(edge.from, edge.to))
    .map((edge) => ({ a: edge.from, b: edge.to, path: [{ edge, to: edge.to }], edges: [edge.id] }));
  return oneAPair([...direct, ...acrossUnknown(members, linksOf(edges), isKnown, differs)]);
}

/** Two members may be joined wrongly in several ways at once: that is one contradiction, with the shortest way and all edges. */
function oneAPair(found: readonly ClusterContradiction[]): ClusterContradiction[] {
  const byPair = new Map<string, ClusterContradiction>();
  for (const contradiction of found) {
    const key = [contradiction.a, contradiction.b].sort().join(' ');
    const before = byPair.get(key);
    byPair.set(
      key,
      before
        ? {
            ...(contradiction.path.length < before.path.length ? contradiction : before),
            edges: [...new Set([...before.edges, ...contradiction.edges])],
          }
        : contradiction,
    );
  }
  return [...byPair.values()];
}

function acrossUnknown(
  members: readonly string[],
  links: Links,
  isKnown: (member: string) => boolean,
  differs: Differs,
): ClusterContradiction[] {
  const seen = new Set<string>();
  return members.flatMap((start) => {
    if (isKnown(start) || seen.has(start)) return [];
    const region = regionOf(start, links, isKnown);
    for (const member of region.unknown) seen.add(member);
    const groups = alikeGroups(region.around, differs);
    const most = groups[0];
    return groups.slice(1).map((few) => contradictionBetween(few, most!, region.unknown, links));
  });
}

/** The members without the fact that hang together with one, and the members with it that touch them. */
function regionOf(start: string, links: Links, isKnown: (member: string) => boolean) {
  const unknown = new Set([start]);
  const around = new Set<string>();
  for (const member of unknown) for (const { to } of links.get(member) ?? []) (isKnown(to) ? around : unknown).add(to);
  return { unknown, around: [...around] };
}

/** Members that do not differ among themselves, the largest group first. */
function alikeGroups(members: readonly string[], differs: Differs): string[][] {
  const groups: string[][] = [];
  for (const member of members) {
    const group = groups.find(([first]) => !differs(first!, member));
    if (group) group.push(member);
    else groups.push([member]);
  }
  return groups.sort((x, y) => y.length - x.length);
}

function contradictionBetween(
  few: readonly string[],
  most: readonly string[],
  through: ReadonlySet<string>,
  links: Links,
): ClusterContradiction {
  const ends = new Set(most);
  const reached = new Map<string, readonly { edge: ReferenceEdge; to: string }[]>(few.map((member) => [member, []]));
  // A map keeps the order in which members were reached, so walking it while it grows is a breadth-first search.
  for (const [at, path] of reached) {
    for (const link of links.get(at) ?? []) {
      if (reached.has(link.to) || !(through.has(link.to) || ends.has(link.to))) continue;
      const onward = [...path, link];
      if (ends.has(link.to)) {
        const a = few.find((member) => leadsFrom(member, onward))!;
        return { a, b: link.to, path: onward, edges: onward.map(({ edge }) => edge.id) };
      }
      reached.set(link.to, onward);
    }
  }
  throw new Error('Two groups around one region of a cluster are always joined through it.');
}

const leadsFrom = (member: string, path: readonly { edge: ReferenceEdge; to: string }[]): boolean =>
  path[0]!.edge.from === member || path[0]!.edge.to === member;
