import type { FactSheet } from '@brackenfell/core/fitment/facts';
import { ruleFacts } from '@brackenfell/core/fitment/house-rules';
import { judgeOverPositions, weighFindings, type LineJudgement } from '@brackenfell/core/fitment/judge-plug';
import { compareInTray, trayPlacing, type Rankable } from '@brackenfell/core/fitment/ranking';
import { sayIn } from '@brackenfell/core/fitment/say';
import { plugsBySize } from '@brackenfell/core/fitment/screening/by-size';
import { Explainer } from '@brackenfell/core/fitment/screening/explain';
import { Screen } from '@brackenfell/core/fitment/screening/screen';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { VERDICTS, worstVerdict, type Evidence, type Verdict } from '@brackenfell/core/fitment/verdict';
import { isWeak, type Trail } from '@brackenfell/core/interchange/trail';
import type { HeldFacts } from '../catalogue/fact-sheets.ts';
import type { HeatScales } from '../catalogue/figure-codec.ts';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import type { StoredEdge } from '../interchange/store.ts';
import { readAsked, type Asked, type AskedOf, type AskedPosition } from './asked.ts';
import { costPer10000KmMinor } from './cost.ts';
import { readPartRows, type PartRow } from './store.ts';

export interface TrayQuestion extends AskedOf {
  readonly inHand?: string | undefined;
  /** Judge only these parts; every candidate when left out. */
  readonly only?: readonly string[];
  /** How many candidates to explain. */
  readonly most?: number;
}

export interface JudgedCandidate {
  readonly part: PartRow;
  readonly sheet: FactSheet;
  readonly judgement: LineJudgement;
  readonly evidence: Evidence;
  readonly listedBy: string | null;
  readonly trail: Trail | undefined;
  readonly bySizeOnly: boolean;
  readonly costPer10000KmMinor: number | null;
  /** Labels of the positions it was judged for: all, or those of the one place it suits best where places differ. */
  readonly servedAt: readonly string[];
}

export interface JudgedEngine {
  readonly positions: readonly AskedPosition[];
  /** In the tray's order, the first `most` of all. */
  readonly candidates: readonly JudgedCandidate[];
  /** Everything that was looked at. */
  readonly counts: { readonly byReference: number; readonly bySize: number } & Readonly<Record<Verdict, number>>;
  readonly edges: ReadonlyMap<string, StoredEdge>;
  readonly printed: ReadonlyMap<string, string>;
  readonly scales: HeatScales;
  readonly catalogueVersion: string;
}

/** Candidates that tie with the last that is shown are told apart by stock and cost; more of them than this are not. */
const MOST_TIED = 100;
/** Claimed candidates that are shown beyond the first: a false claim can join thousands. */
const MOST_CLAIMED = 60;

/** Judges every plug that could serve an engine (by reference, listing or size). Undefined without such an engine or position. */
export async function judgeEngine(
  context: Context,
  question: TrayQuestion,
  units: UnitDisplay,
  db: Database,
): Promise<JudgedEngine | undefined> {
  const held = await context.sheets.at(db);
  const asked = await readAsked(context, db, held, question);
  if (!asked) return undefined;
  const bench = layOut(asked, held, ruleFacts(context.rules));
  const reached = [...(question.only ?? asked.reached)].filter((id) => held.plugs.placeOf(id) !== undefined);
  const bySize = question.only
    ? []
    : plugsBySize(
        held.plugs,
        asked.positions.map(({ sheet }) => sheet),
      ).flatMap((place) => (asked.reached.has(held.plugs.ids[place]!) ? [] : [held.plugs.ids[place]!]));
  const inHand = question.inHand;
  const isStranger = inHand !== undefined && held.plugs.placeOf(inHand) !== undefined && !asked.reached.has(inHand);
  const found = [...new Set([...reached, ...bySize, ...(isStranger ? [inHand] : [])])].map((id) => bench.screen(id));

  const most = question.most ?? found.length;
  let claims = MOST_CLAIMED;
  const answered = new Set(
    found.flatMap(({ id, evidence }) => (id === inHand || (isClaimed(evidence) && (claims -= 1) >= 0) ? [id] : [])),
  );
  const chosen = pickFirst(found, most, ({ id }) => answered.has(id));
  const named = chosen.flatMap(({ id }) => asked.trails.get(id)?.steps.map(({ to }) => to) ?? []);
  const rows = await readPartRows(db, [...new Set([...chosen.map(({ id }) => id), ...named, ...asked.roots])]);
  const rowOf = new Map(rows.map((row) => [row.id, row]));
  const ranked = chosen
    .map((screened) => {
      const part = rowOf.get(screened.id)!;
      const sheet = held.plugs.sheetOf(held.plugs.placeOf(part.id)!);
      const cost = costPer10000KmMinor(asked.positions, sheet, part.each_minor);
      const { verdict, closeness, evidence } = screened;
      const onHand = part.on_hand ?? 0;
      const rank: Rankable = { verdict, evidence, closeness, onHand, costPer10000Km: cost, printed: part.printed };
      return { screened, part, sheet, cost, rank };
    })
    .sort((a, b) => compareInTray(a.rank, b.rank))
    .filter(({ part }, i) => i < most || answered.has(part.id));

  const explain = bench.explainIn(units);
  const bySizeOnly = new Set(bySize);
  const candidates = ranked.map(({ screened: { id, place, evidence }, part, sheet, cost }): JudgedCandidate => ({
    part,
    sheet,
    judgement: explain(id, place),
    servedAt: asked.positions.filter((p) => p.place === place).map(({ label }) => label),
    evidence,
    listedBy: asked.listingAt(place, id),
    trail: asked.trails.get(id),
    bySizeOnly: bySizeOnly.has(id),
    costPer10000KmMinor: cost ?? null,
  }));
  const verdicts = Object.fromEntries(VERDICTS.map((v) => [v, 0])) as Record<Verdict, number>;
  for (const { verdict } of found) verdicts[verdict] += 1;
  return {
    positions: asked.positions,
    candidates,
    counts: { ...verdicts, byReference: found.length - bySize.length, bySize: bySize.length },
    edges: new Map(asked.edges.map((edge) => [edge.id, edge])),
    printed: new Map(rows.map((row) => [row.id, row.printed])),
    scales: held.scales,
    catalogueVersion: held.version,
  };
}

/** A plug's verdict before it is explained, for the place it suits best. */
interface ScreenedCandidate {
  readonly id: string;
  readonly place: string;
  readonly evidence: Evidence;
  readonly verdict: Verdict;
  readonly closeness: number;
}

/** The first by placing, with those that tie with the last of them, and what has to be answered for in any case. */
function pickFirst(
  found: readonly ScreenedCandidate[],
  most: number,
  isAnswered: (candidate: ScreenedCandidate) => boolean,
): ScreenedCandidate[] {
  if (found.length <= most) return [...found];
  const placings = Float64Array.from(found, (c) => trayPlacing(c.verdict, c.evidence, c.closeness));
  const last = placings.slice().sort()[most - 1]!;
  let tied = MOST_TIED;
  return found.filter(
    (candidate, i) => placings[i]! < last || isAnswered(candidate) || (placings[i] === last && (tied -= 1) >= 0),
  );
}

/** What a list claims to fit is shown with its answer however bad it is: somebody will ask for it. */
const isClaimed = ({ named, listed, trailGrade }: Evidence): boolean =>
  named || listed || (trailGrade !== undefined && !isWeak(trailGrade));

/** Positions that ask the very same are judged once. */
function alikePositions(positions: readonly AskedPosition[]): AskedPosition[][] {
  const groups = new Map<string, AskedPosition[]>();
  for (const position of positions) {
    const key = position.place + JSON.stringify(position.sheet);
    groups.set(key, [...(groups.get(key) ?? []), position]);
  }
  return [...groups.values()];
}

/** What is needed to screen and to explain plugs for an engine. */
function layOut(asked: Asked, { plugs }: HeldFacts, ruled: FactSheet) {
  const groups = alikePositions(asked.positions).map((positions) => {
    const facts = { ...positions[0]!.sheet, ...ruled };
    return { positions, place: positions[0]!.place, facts, screen: new Screen(plugs, facts) };
  });
  const places = [...new Set(groups.map(({ place }) => place))];
  const groupsAt = (place: string) => groups.filter((group) => group.place === place);

  /** Where a cylinder's places ask different plugs, a plug is for the place it suits best and is judged there. */
  function screen(id: string): ScreenedCandidate {
    const plug = plugs.placeOf(id)!;
    return places
      .map((place): ScreenedCandidate => {
        const evidence = asked.evidenceAt(place, id);
        const judged = groupsAt(place).map((group) => group.screen.judge(plug, evidence));
        const verdict = worstVerdict(judged.map((j) => j.verdict));
        return { id, place, evidence, verdict, closeness: Math.max(...judged.map((j) => j.closeness)) };
      })
      .reduce((a, b) => (soonerSold(b, a) ? b : a));
  }

  function explainIn(units: UnitDisplay) {
    const say = sayIn(units);
    const explainers = groups.map(({ facts }) => new Explainer(plugs, facts, say));
    return (id: string, place: string): LineJudgement => {
      const plug = plugs.placeOf(id)!;
      const evidence = asked.evidenceAt(place, id);
      return judgeOverPositions(
        groups.flatMap((group, i) => {
          if (group.place !== place) return [];
          const judgement = weighFindings(explainers[i]!.findingsOf(plug), evidence);
          return group.positions.map(({ label }) => ({ label, judgement }));
        }),
      );
    };
  }
  return { screen, explainIn };
}

type Soonness = Pick<ScreenedCandidate, 'verdict' | 'closeness'>;
const soonerSold = (a: Soonness, b: Soonness): boolean =>
  VERDICTS.indexOf(a.verdict) > VERDICTS.indexOf(b.verdict) || (a.verdict === b.verdict && a.closeness < b.closeness);
