import type { FactSheet } from '@brackenfell/core/fitment/facts';
import { ruleFacts } from '@brackenfell/core/fitment/house-rules';
import { judgeOverPositions, weighFindings, type LineJudgement } from '@brackenfell/core/fitment/judge-plug';
import { compareInTray, TRAY_ORDER, trayPlacing, type Rankable } from '@brackenfell/core/fitment/ranking';
import { sayIn } from '@brackenfell/core/fitment/say';
import { plugsBySize } from '@brackenfell/core/fitment/screening/by-size';
import { Explainer } from '@brackenfell/core/fitment/screening/explain';
import { Screen, type ScreenedPlugs } from '@brackenfell/core/fitment/screening/screen';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { VERDICTS, worstVerdict, type Evidence, type Verdict } from '@brackenfell/core/fitment/verdict';
import { isWeak, type Trail } from '@brackenfell/core/interchange/trail';
import { readNamedParts } from '../ask/store.ts';
import type { HeatScales } from '../catalogue/figure-codec.ts';
import type { PlugTitle } from '../catalogue/read-facts.ts';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import type { StoredEdge } from '../interchange/store.ts';
import { alikePositions, readAsked, type Asked, type AskedOf, type AskedPosition } from './asked.ts';
import { COST_FACTS, costPer10000KmMinor } from './cost.ts';
import { readStock } from './store.ts';

export interface TrayQuestion extends AskedOf {
  readonly inHand?: string | undefined;
  /** Judge only these parts; every candidate when left out. */
  readonly only?: readonly string[];
  /** How many candidates to explain. */
  readonly most?: number;
}

export interface TrayPart extends PlugTitle {
  readonly id: string;
  readonly on_hand: number | null;
  readonly bin: string | null;
  readonly each_minor: number | null;
}

export interface JudgedCandidate {
  readonly part: TrayPart;
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
const MOST_TIED = 50;
/** Claimed candidates that are shown beyond the first: a false claim can join thousands. */
const MOST_CLAIMED = 60;

/** Judges every plug that could serve an engine (by reference, listing or size). Undefined without such an engine or position. */
export async function judgeEngine(
  context: Context,
  question: TrayQuestion,
  units: UnitDisplay,
  db: Database,
): Promise<JudgedEngine | undefined> {
  const asked = await readAsked(context, db, question);
  if (!asked) return undefined;
  const { held } = asked;
  const bench = layOut(asked, ruleFacts(context.rules));
  const { inHand } = question;
  const isPlug = (id: string) => held.plugs.placeOf(id) !== undefined;
  const singled = [...new Set(question.only ?? [...asked.reached, ...(inHand ? [inHand] : [])])].filter(isPlug);
  const others = question.only
    ? new Uint32Array()
    : plugsBySize(
        held.plugs,
        asked.positions.map(({ sheet }) => sheet),
        new Set(singled.map((id) => held.plugs.placeOf(id)!)),
      );
  const found = singled.map((id) => bench.screen(id));
  const bySize = bench.screenAll(others);
  const most = question.most ?? singled.length + others.length;
  const answered = answeredInAnyCase(found, inHand);
  const chosen = pickFirst(found, bySize, most, answered);
  const ids = chosen.map(({ id }) => id);
  const onTrails = ids.flatMap((id) => asked.trails.get(id)?.steps.map(({ to }) => to) ?? []);
  const [stock, named] = await Promise.all([
    readStock(db, ids),
    readNamedParts(db, [...new Set([...onTrails, ...asked.roots])]),
  ]);
  const ranked = chosen
    .map((screened) => {
      const place = held.plugs.placeOf(screened.id)!;
      const part: TrayPart = { ...stock.get(screened.id)!, ...held.titles[place]! };
      const costFacts = Object.fromEntries(COST_FACTS.map((fact) => [fact, held.plugs.factOf(place, fact)]));
      const cost = costPer10000KmMinor(asked.positions, costFacts, part.each_minor);
      const { verdict, closeness, evidence } = screened;
      const onHand = part.on_hand ?? 0;
      const rank: Rankable = { verdict, evidence, closeness, onHand, costPer10000Km: cost, printed: part.printed };
      return { screened, part, cost, rank };
    })
    .sort((a, b) => compareInTray(a.rank, b.rank))
    .filter(({ part }, i) => i < most || answered.has(part.id));

  const explain = bench.explainIn(units);
  const candidates = ranked.map(({ screened: { id, place, evidence }, part, cost }): JudgedCandidate => {
    const sheet = held.plugs.sheetOf(held.plugs.placeOf(id)!);
    return {
      part,
      sheet,
      judgement: explain(id, sheet, place),
      servedAt: asked.positions.filter((p) => p.place === place).map(({ label }) => label),
      evidence,
      listedBy: asked.listingAt(place, id),
      trail: asked.trails.get(id),
      bySizeOnly: !asked.reached.has(id),
      costPer10000KmMinor: cost ?? null,
    };
  });
  return {
    positions: asked.positions,
    candidates,
    counts: countAll(found, bySize, asked.reached),
    edges: new Map(asked.edges.map((edge) => [edge.id, edge])),
    printed: new Map(named.map(({ id, printed }) => [id, printed])),
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

function countAll(
  found: readonly ScreenedCandidate[],
  bySize: ScreenedPlugs,
  reached: ReadonlySet<string>,
): JudgedEngine['counts'] {
  const verdicts = Object.fromEntries(VERDICTS.map((verdict) => [verdict, 0])) as Record<Verdict, number>;
  for (const { verdict } of found) verdicts[verdict] += 1;
  const bySizeCounts = countVerdicts(bySize);
  for (const [i, verdict] of VERDICTS.entries()) verdicts[verdict] += bySizeCounts[i]!;
  const byReference = found.filter(({ id }) => reached.has(id)).length;
  return { ...verdicts, byReference, bySize: found.length - byReference + bySize.verdicts.length };
}

/** How many have each verdict, in the order of the verdicts. */
function countVerdicts({ verdicts }: ScreenedPlugs): number[] {
  const counts = VERDICTS.map(() => 0);
  for (const verdict of verdicts) counts[verdict]! += 1;
  return counts;
}

/** What a list claims to fit is shown with its answer however bad it is: somebody will ask for it. */
const isClaimed = ({ named, listed, trailGrade }: Evidence): boolean =>
  named || listed || (trailGrade !== undefined && !isWeak(trailGrade));

/** Ids of the candidates that are shown wherever they stand: what is claimed, and what the customer holds. */
function answeredInAnyCase(found: readonly ScreenedCandidate[], inHand: string | undefined): ReadonlySet<string> {
  const claimed = found.filter(({ evidence }) => isClaimed(evidence)).slice(0, MOST_CLAIMED);
  return new Set([...claimed.map(({ id }) => id), ...(inHand === undefined ? [] : [inHand])]);
}

interface ScreenedBySize extends ScreenedPlugs {
  candidate(i: number): ScreenedCandidate;
}

const UNCONNECTED: Evidence = { named: false, listed: false };

/** The first by placing, with those that tie with the last of them, and those that are answered in any case. */
function pickFirst(
  found: readonly ScreenedCandidate[],
  bySize: ScreenedBySize,
  most: number,
  answered: ReadonlySet<string>,
): ScreenedCandidate[] {
  const own = found.map((c) => trayPlacing(c.verdict, c.evidence, c.closeness));
  const first = firstVerdicts(bySize, most);
  const base = VERDICTS.map((verdict) => trayPlacing(verdict, UNCONNECTED, 0));
  const others = Float64Array.from(first, (i) => base[bySize.verdicts[i]!]! + bySize.closeness[i]!);
  const all = new Float64Array(own.length + others.length);
  all.set(own);
  all.set(others, own.length);
  const last = all.sort()[most - 1] ?? Infinity;
  let tied = MOST_TIED;
  const isFirst = (placing: number) => placing < last || (placing === last && (tied -= 1) >= 0);
  return [
    ...found.filter(({ id }, i) => isFirst(own[i]!) || answered.has(id)),
    ...first.filter((_, n) => isFirst(others[n]!)).map((i) => bySize.candidate(i)),
  ];
}

/** Places of those with the best verdicts, of as many as make up the first `most`: thousands of refusals are left out unsorted. */
function firstVerdicts(bySize: ScreenedPlugs, most: number): number[] {
  const counts = countVerdicts(bySize);
  const isTaken = VERDICTS.map(() => false);
  let count = 0;
  for (const verdict of TRAY_ORDER) {
    if (count >= most) break;
    isTaken[VERDICTS.indexOf(verdict)] = true;
    count += counts[VERDICTS.indexOf(verdict)]!;
  }
  const first: number[] = [];
  for (let i = 0; i < bySize.verdicts.length; i += 1) if (isTaken[bySize.verdicts[i]!]!) first.push(i);
  return first;
}

/** What is needed to screen and to explain plugs for an engine. */
function layOut(asked: Asked, ruled: FactSheet) {
  const { plugs } = asked.held;
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

  /** Plugs that nothing but their size speaks for. */
  function screenAll(ofSize: Uint32Array): ScreenedBySize {
    const perPlace = places.map((place) =>
      groupsAt(place)
        .map((group) => group.screen.judgeAll(ofSize, UNCONNECTED))
        .reduce(worstOfBoth),
    );
    const best = new Uint8Array(ofSize.length);
    const [verdicts, closeness] = [new Uint8Array(ofSize.length), new Float64Array(ofSize.length)];
    for (let i = 0; i < ofSize.length; i += 1) {
      for (let place = 1; place < perPlace.length; place += 1)
        if (isSooner(perPlace[place]!, perPlace[best[i]!]!, i)) best[i] = place;
      verdicts[i] = perPlace[best[i]!]!.verdicts[i]!;
      closeness[i] = perPlace[best[i]!]!.closeness[i]!;
    }
    const candidate = (i: number): ScreenedCandidate => ({
      id: plugs.ids[ofSize[i]!]!,
      place: places[best[i]!]!,
      evidence: UNCONNECTED,
      verdict: VERDICTS[verdicts[i]!]!,
      closeness: closeness[i]!,
    });
    return { verdicts, closeness, candidate };
  }

  function explainIn(units: UnitDisplay) {
    const say = sayIn(units);
    const explainers = groups.map(({ facts }) => new Explainer(plugs, facts, say));
    return (id: string, sheet: FactSheet, place: string): LineJudgement => {
      const plug = plugs.placeOf(id)!;
      const evidence = asked.evidenceAt(place, id);
      return judgeOverPositions(
        groups.flatMap((group, i) => {
          if (group.place !== place) return [];
          const judgement = weighFindings(explainers[i]!.findingsOf(plug, sheet), evidence);
          return [{ labels: group.positions.map(({ label }) => label), judgement }];
        }),
      );
    };
  }
  return { screen, screenAll, explainIn };
}

type Soonness = Pick<ScreenedCandidate, 'verdict' | 'closeness'>;
function worstOfBoth(a: ScreenedPlugs, b: ScreenedPlugs): ScreenedPlugs {
  return {
    verdicts: a.verdicts.map((verdict, i) => Math.min(verdict, b.verdicts[i]!)),
    closeness: a.closeness.map((near, i) => Math.max(near, b.closeness[i]!)),
  };
}

const isSooner = (a: ScreenedPlugs, b: ScreenedPlugs, i: number): boolean =>
  a.verdicts[i]! > b.verdicts[i]! || (a.verdicts[i] === b.verdicts[i] && a.closeness[i]! < b.closeness[i]!);
const soonerSold = (a: Soonness, b: Soonness): boolean =>
  VERDICTS.indexOf(a.verdict) > VERDICTS.indexOf(b.verdict) || (a.verdict === b.verdict && a.closeness < b.closeness);
