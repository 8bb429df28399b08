import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { Evidence } from '@brackenfell/core/fitment/verdict';
import type { EngineBuild } from '@brackenfell/core/identification/traits';
import { trailsFrom, type Trail } from '@brackenfell/core/interchange/trail';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { HeldFacts } from '../catalogue/fact-sheets.ts';
import { readNamedParts } from '../catalogue/part-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { findEngine, listNamedNumbers, listPositions } from '../engine/store.ts';
import { readEdgesAround, type StoredEdge } from '../interchange/store.ts';
import { readOwnCoils } from './own-coil.ts';
import { readListings } from './store.ts';
import { today } from '../context/today.ts';

export interface AskedPosition {
  readonly id: string;
  readonly label: string;
  readonly place: string;
  /** Only in this build of the engine; null for all. */
  readonly build: string | null;
  readonly sheet: FactSheet;
}

/** What an engine asks of one kind of part, and all that is said about which parts serve it. */
export interface Asked {
  readonly engine: NonNullable<Awaited<ReturnType<typeof findEngine>>>;
  /** Those of the builds it could be. */
  readonly positions: readonly AskedPosition[];
  /** Those of all builds. */
  readonly everyPosition: readonly AskedPosition[];
  /** Parts the engine maker names, by id. */
  readonly roots: readonly string[];
  readonly edges: readonly StoredEdge[];
  readonly edgesById: ReadonlyMap<string, StoredEdge>;
  /** The numbers that are named or stand in a reference, by part. */
  readonly printed: ReadonlyMap<string, string>;
  readonly trails: ReadonlyMap<string, Trail>;
  /** Every part that a name, a listing or a trail leads to. */
  readonly reached: ReadonlySet<string>;
  evidenceAt(place: string, partId: string): Evidence;
  listingAt(place: string, partId: string): string | null;
}

export interface AskedOf {
  readonly engineId: string;
  readonly positionId?: string | undefined;
  /** Only the positions of these labels. */
  readonly at?: readonly string[] | undefined;
  /** Build month, for listings restricted by it and for what changed with it. */
  readonly built?: string | undefined;
  /** Which build, by its label, where that is known without a month. */
  readonly build?: string | undefined;
}

/** Undefined when there is no such engine, or it takes no such part, or has no such position. */
export async function readAsked(
  context: Context,
  db: Database,
  kind: PartKind,
  { engineId, positionId, at, built, build }: AskedOf,
  held: HeldFacts,
): Promise<Asked | undefined> {
  const { engine, stored, sheets, named, edges, printed, listings } = await readStored(
    context,
    db,
    held,
    engineId,
    kind,
  );
  if (!engine) return undefined;
  const known = builtWithin(engine.builds, built, build);
  const standing = new Set(known.map(({ label }) => label));
  const everyPosition = stored
    .filter((p) => positionId === undefined || p.id === positionId)
    .filter((p) => at === undefined || at.includes(p.label))
    .map(({ id, label, place, build: only }) => ({ id, label, place, build: only, sheet: sheets.get(id)! }));
  const wanted = everyPosition.filter((p) => p.build === null || standing.size === 0 || standing.has(p.build));
  if (wanted.length === 0) return undefined;
  const roots = named.map((n) => n.part_id);
  const trails = trailsFrom(roots, edges);
  const period = built === undefined ? (known.length === 1 ? known[0] : undefined) : { from: built, to: built };
  const met = listings.filter((listing) => restrictionMet(listing, period));
  const listingAt = (place: string, partId: string) =>
    met.find((l) => l.part_id === partId && (l.place === null || l.place === place))?.source ?? null;
  return {
    engine,
    positions: wanted,
    everyPosition,
    roots,
    edges,
    edgesById: new Map(edges.map((edge) => [edge.id, edge])),
    printed,
    trails,
    reached: new Set([...roots, ...trails.keys(), ...listings.map((l) => l.part_id)]),
    listingAt,
    evidenceAt: (place, partId) => {
      const trail = trails.get(partId);
      return {
        named: named.some(
          (n) => (n.place === null || n.place === place) && (n.part_id === partId || isOneSameHop(trail, n.part_id)),
        ),
        listed: listingAt(place, partId) !== null,
        ...(trail ? { trailGrade: trail.grade } : {}),
      };
    },
  };
}

/** What a position asks, in writing: the same sheet is asked of again and again, line by line and tray by tray. */
const WRITTEN = new WeakMap<FactSheet, string>();
function written(sheet: FactSheet): string {
  const known = WRITTEN.get(sheet) ?? JSON.stringify(sheet);
  WRITTEN.set(sheet, known);
  return known;
}

/** Positions that ask the very same are judged once. */
export function alikePositions(positions: readonly AskedPosition[]): AskedPosition[][] {
  const groups = new Map<string, AskedPosition[]>();
  for (const position of positions) {
    const key = `${position.place}|${position.build ?? ''}|${written(position.sheet)}`;
    groups.set(key, [...(groups.get(key) ?? []), position]);
  }
  return [...groups.values()];
}

/**
 * All that a catalogue holds of what an engine asks of a kind, read once for as long as nothing but plugs is changed.
 * References come into force by the day.
 */
function readStored(context: Context, db: Database, held: HeldFacts, engineId: string, kind: PartKind) {
  const day = today();
  const readPositions = async () => {
    const stored = await listPositions(db, [engineId], [kind]);
    const ids = stored.map(({ id }) => id);
    return { stored, onPaper: await context.sheets.positions(db, held, ids) };
  };
  const readReferences = async () => {
    const named = await listNamedNumbers(db, engineId, [kind]);
    const roots = named.map((n) => n.part_id);
    const edges = await readEdgesAround(db, roots);
    const met = [...new Set([...roots, ...edges.flatMap(({ from, to }) => [from, to])])];
    const printed = new Map((await readNamedParts(db, met)).map((part) => [part.id, part.printed]));
    return { named, edges, printed };
  };
  return held.asking.once(`asked ${engineId} ${kind} ${day}`, async () => {
    // Side by side: none waits for what another has read.
    const [engine, { stored, onPaper }, references, listings, coils] = await Promise.all([
      findEngine(db, engineId),
      readPositions(),
      readReferences(),
      readListings(db, engineId, kind),
      kind === 'plug' ? readOwnCoils(db, held.scales, engineId) : undefined,
    ]);
    const cylindersCount = new Set(stored.map(({ cylinder }) => cylinder)).size;
    const sheets = new Map(
      stored.map(({ id, place }) => [
        id,
        coils ? { ...onPaper.get(id), ...coils(place), ...inAll(cylindersCount) } : onPaper.get(id)!,
      ]),
    );
    return { engine, stored, sheets, ...references, listings };
  });
}

/** How many cylinders the engine has, as a fact of each of its plugs. */
const inAll = (count: number): FactSheet => ({
  'job.cylindersCount': { ruling: [{ value: count, source: { rank: 'engine-maker', name: 'Its plug places' } }] },
});

/** The builds it could be: the one named, those that were made in the month, all when neither is known. */
export function builtWithin(
  builds: readonly EngineBuild[],
  month: string | undefined,
  label: string | undefined,
): readonly EngineBuild[] {
  const named = builds.filter((one) => one.label === label);
  if (named.length > 0) return named;
  return month === undefined ? builds : builds.filter((one) => covers(one, { from: month, to: month }));
}

interface Period {
  readonly from?: string;
  readonly to?: string;
}

/** Whether a period, open at either end, lies wholly within another. */
const covers = (outer: Period, inner: Period): boolean =>
  (outer.from === undefined || (inner.from !== undefined && inner.from >= outer.from)) &&
  (outer.to === undefined || (inner.to !== undefined && inner.to <= outer.to));

/** A restriction by build month is not met while the month is unknown. */
const restrictionMet = (
  { built_from: from, built_to: to }: { built_from: string | null; built_to: string | null },
  period: Period | undefined,
): boolean =>
  (from === null && to === null) ||
  (period !== undefined && covers({ ...(from ? { from } : {}), ...(to ? { to } : {}) }, period));

const isOneSameHop = (trail: Trail | undefined, root: string): boolean =>
  trail?.from === root && trail.steps.length === 1 && trail.steps[0]!.grade === 'same';
