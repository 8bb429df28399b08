import type { FactSheet } from '@brackenfell/core/fitment/facts';
import { ruleFacts } from '@brackenfell/core/fitment/house-rules';
import { judgeOverPositions, judgePlug, type LineJudgement } from '@brackenfell/core/fitment/judge-plug';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { VERDICTS, type Evidence } from '@brackenfell/core/fitment/verdict';
import { trailsFrom, type Trail } from '@brackenfell/core/interchange/trail';
import { keptJudgement } from '../catalogue/fact-sheets.ts';
import type { HeatScales } from '../catalogue/figure-codec.ts';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { findEngine, listNamedNumbers, listPositions } from '../engine/store.ts';
import { readEdgesAround, type StoredEdge } from '../interchange/store.ts';
import { findPlugsBySize, readListings, readPartRows, type PartRow } from './store.ts';

export interface TrayQuestion {
  readonly engineId: string;
  readonly positionId?: string | undefined;
  readonly inHand?: string | undefined;
  readonly built?: string | undefined;
  /** Judge only these parts; every candidate when left out. */
  readonly only?: readonly string[];
}

export interface JudgedCandidate {
  readonly part: PartRow;
  readonly sheet: FactSheet;
  readonly judgement: LineJudgement;
  readonly evidence: Evidence;
  readonly listedBy: string | null;
  readonly trail: Trail | undefined;
  readonly bySizeOnly: boolean;
  /** Labels of the positions it was judged for: all, or those of the one place it suits best where places differ. */
  readonly servedAt: readonly string[];
}

export interface JudgedEngine {
  readonly positions: readonly { id: string; label: string; sheet: FactSheet }[];
  readonly candidates: readonly JudgedCandidate[];
  readonly edges: ReadonlyMap<string, StoredEdge>;
  readonly printed: ReadonlyMap<string, string>;
  readonly scales: HeatScales;
  readonly catalogueVersion: string;
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

/** Positions that ask the very same are judged once. */
function alikePositions<P extends { label: string; place: string; sheet: FactSheet }>(positions: readonly P[]): P[][] {
  const groups = new Map<string, P[]>();
  for (const position of positions) {
    const key = position.place + JSON.stringify(position.sheet);
    groups.set(key, [...(groups.get(key) ?? []), position]);
  }
  return [...groups.values()];
}

/**
 * Gathers every plug that could serve an engine (by reference, listing or size), and judges each in full at each position.
 * Undefined when the engine or the position does not exist. All reads come from one snapshot.
 */
export async function judgeEngine(
  context: Context,
  question: TrayQuestion,
  units: UnitDisplay,
  within?: Database,
): Promise<JudgedEngine | undefined> {
  if (within) return judgeIn(within, context, question, units);
  return context.db
    .transaction()
    .setIsolationLevel('repeatable read')
    .execute((snapshot) => judgeIn(snapshot, context, question, units));
}

async function judgeIn(
  db: Database,
  context: Context,
  question: TrayQuestion,
  units: UnitDisplay,
): Promise<JudgedEngine | undefined> {
  const engine = await findEngine(db, question.engineId);
  if (!engine) return undefined;
  const held = await context.sheets.at(db);
  const stored = (await listPositions(db, [engine.id])).filter(
    (p) => question.positionId === undefined || p.id === question.positionId,
  );
  if (stored.length === 0) return undefined;
  const asked = await context.sheets.positions(
    db,
    held,
    stored.map((p) => p.id),
  );
  const positions = stored.map((p) => ({ ...p, sheet: asked.get(p.id)! }));

  const named = await listNamedNumbers(db, engine.id);
  const roots = named.map((n) => n.part_id);
  const edges = await readEdgesAround(db, roots);
  const trails = trailsFrom(roots, edges);
  const listings = await readListings(db, engine.id);
  const bySize = question.only ? [] : await findPlugsBySize(db, engine.id);
  const reached = new Set([...roots, ...trails.keys(), ...listings.map((l) => l.part_id)]);
  const wanted = question.only ?? [...reached, ...bySize, ...(question.inHand ? [question.inHand] : [])];
  const rows = await readPartRows(db, [...new Set([...wanted, ...roots, ...trails.keys()])]);
  const printed = new Map(rows.map((row) => [row.id, row.printed]));
  const plugs = rows.filter((row) => row.kind === 'plug' && wanted.includes(row.id));
  const sheets = await context.sheets.plugs(
    db,
    held,
    plugs.map((row) => row.id),
  );

  const ruled = ruleFacts(context.rules);
  const say = sayIn(units);
  const groups = alikePositions(positions);
  const candidates = plugs.map((part): JudgedCandidate => {
    const sheet = sheets.get(part.id)!;
    const trail = trails.get(part.id);
    const isNamedAt = (place: string) =>
      named.some(
        (n) => (n.place === null || n.place === place) && (n.part_id === part.id || isOneSameHop(trail, n.part_id)),
      );
    const listingAt = (place: string) =>
      listings.find(
        (l) => l.part_id === part.id && (l.place === null || l.place === place) && restrictionMet(l, question.built),
      );
    const evidenceAt = (place: string): Evidence => ({
      named: isNamedAt(place),
      listed: listingAt(place) !== undefined,
      ...(trail ? { trailGrade: trail.grade } : {}),
    });
    const judgedAt = groups.flatMap((group) => {
      const { id, place, sheet: asked } = group[0]!;
      const evidence = evidenceAt(place);
      const key = [
        part.id,
        id,
        units,
        context.rules.version,
        evidence.named,
        evidence.listed,
        evidence.trailGrade,
      ].join(' ');
      const judgement = keptJudgement(held, key, () => judgePlug({ ...sheet, ...asked, ...ruled }, evidence, say));
      return group.map(({ label }) => ({ label, place, judgement }));
    });
    const places = [...new Set(positions.map((p) => p.place))];
    const perPlace = places.map((place) => {
      const own = judgedAt.filter((at) => at.place === place);
      return { place, own, judgement: judgeOverPositions(own) };
    });
    // Where a cylinder's places ask different plugs, a plug is for the place it suits best and is judged there.
    const best = perPlace.reduce((a, b) => (soonerSold(b.judgement, a.judgement) ? b : a));
    const everywhere = [evidenceAt(best.place)];
    return {
      part,
      sheet,
      judgement: best.judgement,
      servedAt: positions.filter(({ place }) => place === best.place).map(({ label }) => label),
      evidence: {
        named: everywhere.every((e) => e.named),
        listed: everywhere.every((e) => e.listed),
        ...(trail ? { trailGrade: trail.grade } : {}),
      },
      listedBy: listingAt(best.place)?.source ?? null,
      trail,
      bySizeOnly: !reached.has(part.id),
    };
  });
  const edgeById = new Map(edges.map((edge) => [edge.id, edge]));
  return { positions, candidates, edges: edgeById, printed, scales: held.scales, catalogueVersion: held.version };
}

const soonerSold = (a: LineJudgement, b: LineJudgement): boolean =>
  VERDICTS.indexOf(a.verdict) > VERDICTS.indexOf(b.verdict) || (a.verdict === b.verdict && a.closeness < b.closeness);

const isOneSameHop = (trail: Trail | undefined, root: string): boolean =>
  trail?.from === root && trail.steps.length === 1 && trail.steps[0]!.grade === 'same';
