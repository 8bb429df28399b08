import type { FactSheet } from '@brackenfell/core/fitment/facts';
import type { Evidence } from '@brackenfell/core/fitment/verdict';
import { trailsFrom, type Trail } from '@brackenfell/core/interchange/trail';
import type { HeldPlugs } from '../catalogue/fact-sheets.ts';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { listNamedNumbers, listPositions } from '../engine/store.ts';
import { readEdgesAround, type StoredEdge } from '../interchange/store.ts';
import { readListings } from './store.ts';

export interface AskedPosition {
  readonly id: string;
  readonly label: string;
  readonly place: string;
  readonly sheet: FactSheet;
}

/** What an engine asks, and all that is said about which parts serve it. */
export interface Asked {
  readonly held: HeldPlugs;
  readonly positions: readonly AskedPosition[];
  /** Parts the engine maker names, by id. */
  readonly roots: readonly string[];
  readonly edges: readonly StoredEdge[];
  readonly trails: ReadonlyMap<string, Trail>;
  /** Every part that a name, a listing or a trail leads to. */
  readonly reached: ReadonlySet<string>;
  evidenceAt(place: string, partId: string): Evidence;
  listingAt(place: string, partId: string): string | null;
}

export interface AskedOf {
  readonly engineId: string;
  readonly positionId?: string | undefined;
  /** Build month, for listings restricted by it. */
  readonly built?: string | undefined;
}

/** Undefined when there is no such engine, or it has no such position. */
export async function readAsked(
  context: Context,
  db: Database,
  { engineId, positionId, built }: AskedOf,
): Promise<Asked | undefined> {
  const [held, stored, { named, edges }, listings] = await Promise.all([
    context.sheets.withPlugs(db),
    listPositions(db, [engineId]),
    readNamed(db, engineId),
    readListings(db, engineId),
  ]);
  const sheets = await context.sheets.positions(
    db,
    held,
    stored.map((p) => p.id),
  );
  const positions = stored.map(({ id, label, place }) => ({ id, label, place, sheet: sheets.get(id)! }));
  const wanted = positions.filter((p) => positionId === undefined || p.id === positionId);
  if (wanted.length === 0) return undefined;
  const roots = named.map((n) => n.part_id);
  const trails = trailsFrom(roots, edges);
  const standing = listings.filter((listing) => restrictionMet(listing, built));
  const listingAt = (place: string, partId: string) =>
    standing.find((l) => l.part_id === partId && (l.place === null || l.place === place))?.source ?? null;
  return {
    held,
    positions: wanted,
    roots,
    edges,
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

/** Positions that ask the very same are judged once. */
export function alikePositions(positions: readonly AskedPosition[]): AskedPosition[][] {
  const groups = new Map<string, AskedPosition[]>();
  for (const position of positions) {
    const key = position.place + JSON.stringify(position.sheet);
    groups.set(key, [...(groups.get(key) ?? []), position]);
  }
  return [...groups.values()];
}

async function readNamed(db: Database, engineId: string) {
  const named = await listNamedNumbers(db, engineId);
  const edges = await readEdgesAround(
    db,
    named.map((n) => n.part_id),
  );
  return { named, edges };
}

/** Whether a listing's restriction is met; a restriction by build month is not met while the month is unknown. */
function restrictionMet(
  listing: { built_from: string | null; built_to: string | null },
  built: string | undefined,
): boolean {
  if (listing.built_from === null && listing.built_to === null) return true;
  if (built === undefined) return false;
  return (
    (listing.built_from === null || built >= listing.built_from) &&
    (listing.built_to === null || built <= listing.built_to)
  );
}

const isOneSameHop = (trail: Trail | undefined, root: string): boolean =>
  trail?.from === root && trail.steps.length === 1 && trail.steps[0]!.grade === 'same';
