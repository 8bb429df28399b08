import { REFERENCE_GRADES, type ReferenceGrade } from '@brackenfell/core/interchange/trail';
import type { PartGraph } from '@brackenfell/contract/part';

type Node = PartGraph['nodes'][number];
type Edge = PartGraph['edges'][number];

/** Everything drawn to the middle's right, one number a row, px. */
export const ROW = 42;
export const MIDDLE = { x: 16, width: 190 } as const;
/** Left edge of the numbers so many references away. */
export const stepX = (step: number): number => 290 + (step - 1) * 304;
export const NODE_WIDTH = 232;
const BAND_HEAD = 26;
const TOP = 30;
/** More numbers of one grade than this are counted, not drawn. */
const MOST_A_BAND = 12;

export interface GraphRow {
  readonly node: Node;
  readonly x: number;
  readonly y: number;
  readonly step: number;
  /** The number it is reached through; the middle for step 1. */
  readonly parent: string;
  /** What the lists say of the two: drawn as one line with a count. */
  readonly edges: readonly Edge[];
}

export interface GraphBand {
  readonly grade: ReferenceGrade;
  readonly top: number;
  readonly height: number;
  /** Numbers of this grade that are not drawn. */
  readonly folded: number;
}

export interface GraphLayout {
  /** Time runs down: what it replaced, itself, what replaces it. */
  readonly before: readonly GraphRow[];
  readonly middle: GraphRow;
  readonly after: readonly GraphRow[];
  readonly rows: readonly GraphRow[];
  readonly bands: readonly GraphBand[];
  /** References among the outer numbers: counted and told beside the drawing, so that nothing crosses. */
  readonly beside: readonly Edge[];
  readonly width: number;
  readonly height: number;
}

const rank = (grade: ReferenceGrade): number => REFERENCE_GRADES.indexOf(grade);
const strongest = (edges: readonly Edge[]): ReferenceGrade =>
  edges.reduce<ReferenceGrade>((best, { grade }) => (rank(grade) < rank(best) ? grade : best), 'observed');

/** References between the same two parts are one line; the strongest grade is drawn and all are told. */
export function bundle(edges: readonly Edge[]): Edge[][] {
  const bundles = new Map<string, Edge[]>();
  for (const edge of edges) {
    const key = [edge.from, edge.to].sort().join(' ');
    bundles.set(key, [...(bundles.get(key) ?? []), edge]);
  }
  return [...bundles.values()];
}

const joins = (edges: readonly Edge[], a: string, b: string): boolean =>
  (edges[0]!.from === a && edges[0]!.to === b) || (edges[0]!.from === b && edges[0]!.to === a);

/** The nearer number each is reached through: of several, the one joined by the strongest grade, then the first by number. */
function parentOf(node: Node, byId: ReadonlyMap<string, Node>, bundles: readonly Edge[][]) {
  const ways = bundles.flatMap((edges) => {
    const { from, to } = edges[0]!;
    const other = byId.get(from === node.partId ? to : to === node.partId ? from : '');
    return other?.hops === node.hops - 1 ? [{ parent: other, edges }] : [];
  });
  return ways.sort(
    (a, b) => rank(strongest(a.edges)) - rank(strongest(b.edges)) || (a.parent.printed < b.parent.printed ? -1 : 1),
  )[0];
}

/**
 * The references around a part, laid out by meaning: steps from the middle run across, grades down, predecessors above and
 * successors below. The same references always give the same picture, and no two numbers share a place.
 */
export function layOut(graph: PartGraph): GraphLayout {
  const byId = new Map(graph.nodes.map((node) => [node.partId, node]));
  const bundles = bundle(graph.edges);
  const reached = new Map(
    graph.nodes.flatMap((node) => {
      const way = node.hops === 0 ? undefined : parentOf(node, byId, bundles);
      return way ? [[node.partId, { node, ...way }] as const] : [];
    }),
  );
  type Reached = typeof reached extends Map<string, infer R> ? R : never;
  const children = (parent: string): Reached[] =>
    [...reached.values()]
      .filter((way) => way.parent.partId === parent)
      .sort(
        (a, b) => rank(strongest(a.edges)) - rank(strongest(b.edges)) || (a.node.printed < b.node.printed ? -1 : 1),
      );
  const first = children(graph.partId);
  const isSuccession = ({ edges }: Reached) => edges.every(({ grade }) => grade === 'supersedes');
  const replaces = ({ edges, node }: Reached) => edges[0]!.from === node.partId;
  const column = (ways: readonly Reached[], from: number): GraphRow[] =>
    ways.map(({ node, edges }, i) => ({
      node,
      edges,
      parent: graph.partId,
      step: 0,
      x: MIDDLE.x,
      y: from + i * (ROW + 22),
    }));
  const before = column(
    first.filter((way) => isSuccession(way) && replaces(way)),
    TOP,
  );
  const middleY = TOP + before.length * (ROW + 22);
  const after = column(
    first.filter((way) => isSuccession(way) && !replaces(way)),
    middleY + ROW + 34,
  );

  const rows: GraphRow[] = [];
  const bands: GraphBand[] = [];
  let y = TOP;
  /** A number on its row, and what is reached through it on the same row and those below. */
  const place = (way: Reached, step: number): void => {
    const own = { node: way.node, edges: way.edges, parent: way.parent.partId, step, x: stepX(step), y };
    rows.push(own);
    const onward = children(way.node.partId);
    for (const [i, child] of onward.entries()) {
      if (i > 0) y += ROW;
      place(child, step + 1);
    }
  };
  for (const grade of REFERENCE_GRADES) {
    const own = first.filter((way) => !isSuccession(way) && strongest(way.edges) === grade);
    if (own.length === 0) continue;
    const top = y;
    y += BAND_HEAD;
    for (const way of own.slice(0, MOST_A_BAND)) {
      place(way, 1);
      y += ROW;
    }
    bands.push({ grade, top, height: y - top, folded: Math.max(0, own.length - MOST_A_BAND) });
    y += 8;
  }
  const drawn = (a: string, b: string) =>
    [...before, ...after, ...rows].some(
      (row) => joins(row.edges, a, b) && (row.node.partId === a || row.node.partId === b),
    );
  const beside = graph.edges.filter(({ from, to }) => !drawn(from, to));
  const deepest = Math.max(1, ...rows.map(({ step }) => step));
  const lowest = Math.max(y, (after.at(-1)?.y ?? middleY) + ROW);
  const middle = { node: byId.get(graph.partId)!, x: MIDDLE.x, y: middleY, step: 0, parent: graph.partId, edges: [] };
  return { before, middle, after, rows, bands, beside, width: stepX(deepest) + NODE_WIDTH + 16, height: lowest + 16 };
}

/** The line to a row from its parent: out of the parent's middle, down a trunk, into the row's middle. */
export function lineTo(row: GraphRow, parent: GraphRow): string {
  const from = { x: parent.x + (parent.step === 0 ? MIDDLE.width : NODE_WIDTH), y: parent.y + ROW / 2 - 4 };
  const to = { x: row.x - 6, y: row.y + ROW / 2 - 4 };
  if (row.step === 0) {
    const x = MIDDLE.x + 12;
    const [top, bottom] = row.y < parent.y ? [row, parent] : [parent, row];
    return `M${x} ${top.y + ROW - 6}V${bottom.y - 2}`;
  }
  const trunk = row.x - 56 + row.step * 2;
  return `M${from.x} ${from.y}H${trunk}V${to.y}H${to.x}`;
}

/** Where a line's count stands: on its last level stretch, before the row. */
export const countAt = (row: GraphRow): { readonly x: number; readonly y: number } => ({
  x: row.x - 30,
  y: row.y + ROW / 2 - 4,
});
