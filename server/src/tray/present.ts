import { FACTS, rulingValue, type FactSheet } from '@brackenfell/core/fitment/facts';
import type { SharedFinding } from '@brackenfell/core/fitment/judge-plug';
import { gapUpperLimitMm } from '@brackenfell/core/fitment/firing-end';
import { RANKING_TOLD } from '@brackenfell/core/fitment/ranking';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import type { HouseRules } from '@brackenfell/core/fitment/house-rules';
import { heatIndexBar, placeOnScale } from '@brackenfell/core/heat-range/heat-scale';
import type { Telling } from '@brackenfell/core/fitment/finding';
import type {
  FactUsed,
  Finding,
  HeadShape,
  PlugShape,
  TrailView,
  Tray,
  TrayFinding,
  TrayRow,
} from '@brackenfell/contract/tray';
import type { JudgedCandidate, JudgedEngine } from './judge-engine.ts';

export function findingView(finding: SharedFinding): Finding {
  const { check, outcome, caseId, figures, told, blocks, relief, onlyAt } = finding;
  return {
    check,
    outcome,
    caseId,
    figures: figures as Finding['figures'],
    told,
    sources: finding.sources.map(({ fact, source, questions }) =>
      questions ? { fact: FACTS[fact].label, source, questions } : { fact: FACTS[fact].label, source },
    ),
    missing: finding.missing.map((fact) => ({ fact: FACTS[fact].label, question: FACTS[fact].question })),
    blocks,
    ...(relief ? { relief } : {}),
    onlyAt: [...onlyAt],
  };
}

export function plugShape(sheet: FactSheet): PlugShape {
  const centre = rulingValue(sheet, 'plug.centreMaterial');
  return {
    threadDiameterMm: rulingValue(sheet, 'plug.threadDiameterMm') ?? null,
    threadPitchMm: rulingValue(sheet, 'plug.threadPitchMm') ?? null,
    reachMm: rulingValue(sheet, 'plug.reachMm') ?? null,
    threadedLengthMm: rulingValue(sheet, 'plug.threadedLengthMm') ?? null,
    seat: rulingValue(sheet, 'plug.seat') ?? null,
    hexMm: rulingValue(sheet, 'plug.hexMm') ?? null,
    lengthMm: rulingValue(sheet, 'plug.lengthMm') ?? null,
    terminal: rulingValue(sheet, 'plug.terminal') ?? null,
    projectionMm: rulingValue(sheet, 'plug.projectionMm') ?? null,
    gapMm: rulingValue(sheet, 'plug.gapMm') ?? null,
    groundThicknessMm: rulingValue(sheet, 'plug.groundThicknessMm') ?? null,
    groundCount: rulingValue(sheet, 'plug.groundCount') ?? null,
    groundForm: rulingValue(sheet, 'plug.groundForm') ?? null,
    tipMm: centre === undefined ? null : TIP_MM[centre],
  };
}

/** The plug as it would run at a position: its gap at the upper limit it will be set to, as the depth check counts it. */
function shapeAt(sheet: FactSheet, asked: FactSheet): PlugShape {
  const range = rulingValue(asked, 'position.gapMm');
  if (!range) return plugShape(sheet);
  const gapMm = gapUpperLimitMm({
    adjust: rulingValue(sheet, 'plug.gapAdjust'),
    deliveredMm: rulingValue(sheet, 'plug.gapMm'),
    toleranceMm: rulingValue(sheet, 'plug.gapToleranceMm'),
    asked: range,
  });
  return { ...plugShape(sheet), gapMm };
}

/** Usual tip diameters, for drawing only. */
const TIP_MM = { nickel: 2.5, silver: 2, platinum: 1.1, iridium: 0.6 } as const;

function headShape(sheet: FactSheet): HeadShape {
  const well = rulingValue(sheet, 'position.wellBoreMm');
  return {
    threadDiameterMm: rulingValue(sheet, 'position.threadDiameterMm') ?? null,
    threadPitchMm: rulingValue(sheet, 'position.threadPitchMm') ?? null,
    headThreadMm: rulingValue(sheet, 'position.headThreadMm') ?? null,
    seat: rulingValue(sheet, 'position.seat') ?? null,
    wellBoreMm: typeof well === 'number' ? well : null,
    crownMm: rulingValue(sheet, 'position.crownMm') ?? null,
    lengthLimitMm: rulingValue(sheet, 'position.lengthLimitMm') ?? null,
  };
}

/** The tables that the rows of one tray refer to: what they share is told once. */
class TrayTables {
  readonly findings: TrayFinding[] = [];
  readonly sources: FactUsed[] = [];
  readonly #told = new Map<Telling, { onlyAt: readonly string[]; place: number }[]>();
  readonly #sourcePlaces = new Map<string, number>();
  readonly #used = new Map<SharedFinding['sources'][number], number>();

  findingPlace(finding: SharedFinding): number {
    // The same telling means the same check, outcome and figures; only the positions it holds at can differ.
    const known = this.#told.get(finding.told)?.find(({ onlyAt }) => onlyAt.join() === finding.onlyAt.join());
    if (known) return known.place;
    const { sources: _, ...view } = findingView(finding);
    const place = this.findings.push(view) - 1;
    this.#told.set(finding.told, [...(this.#told.get(finding.told) ?? []), { onlyAt: finding.onlyAt, place }]);
    return place;
  }

  sourcePlaces({ sources }: SharedFinding): number[] {
    return sources.map((used) => {
      // Rows mostly share the very object; only a new one is compared by what it says.
      const known = this.#used.get(used) ?? this.#sourcePlace(used);
      this.#used.set(used, known);
      return known;
    });
  }

  #sourcePlace({ fact, source, questions }: SharedFinding['sources'][number]): number {
    const key = `${fact}|${source.rank}|${source.name}|${String(questions)}`;
    const known = this.#sourcePlaces.get(key);
    if (known !== undefined) return known;
    const used = { fact: FACTS[fact].label, source };
    const place = this.sources.push(questions ? { ...used, questions } : used) - 1;
    this.#sourcePlaces.set(key, place);
    return place;
  }
}

function trailView(judged: JudgedEngine, { trail }: JudgedCandidate): TrailView | null {
  if (!trail) return null;
  const name = (id: string) => judged.printed.get(id) ?? id;
  return {
    from: name(trail.from),
    grade: trail.grade,
    steps: trail.steps.map(({ edgeId, grade, to }) => {
      const edge = judged.edges.get(edgeId)!;
      return { to: name(to), grade, source: edge.source, notedOn: edge.notedOn, note: edge.note };
    }),
  };
}

const EVIDENCE_WORDS = {
  same: 'same',
  supersedes: 'renamed',
  equivalent: 'equiv.',
  alternative: 'altern.',
  observed: 'observed',
} as const;

function evidenceWord({ evidence, trail, bySizeOnly }: JudgedCandidate): string {
  if (evidence.named) return 'named';
  if (evidence.listed) return 'listed';
  if (trail) return EVIDENCE_WORDS[trail.grade];
  return bySizeOnly ? 'by size' : 'none';
}

function rowView(
  judged: JudgedEngine,
  candidate: JudgedCandidate,
  inHand: string | undefined,
  tables: TrayTables,
): TrayRow {
  const { part, sheet, judgement, evidence } = candidate;
  const heat = rulingValue(sheet, 'plug.heat');
  return {
    partId: part.id,
    printed: part.printed,
    maker: part.maker,
    verdict: judgement.verdict,
    reason: `${servedPlace(judged, candidate)}${reasonPhrase(judgement.findings, judgement.verdict, evidence)}`,
    findings: judgement.findings.map((finding) => tables.findingPlace(finding)),
    sources: judgement.findings.map((finding) => tables.sourcePlaces(finding)),
    evidence: { named: evidence.named, listed: candidate.listedBy, trail: trailView(judged, candidate) },
    evidenceWord: evidenceWord(candidate),
    onHand: part.on_hand ?? 0,
    bin: part.bin,
    priceMinor: part.each_minor,
    costPer10000KmMinor: candidate.costPer10000KmMinor,
    heatBar: heat?.indexBar ?? null,
    heatCode: heat?.code ?? null,
    shape: shapeAt(sheet, judged.positions[0]!.sheet),
    inHand: part.id === inHand,
  };
}

/** Named in front of the reason where a cylinder's places take different plugs: "intake: …". */
const servedPlace = ({ positions }: JudgedEngine, { servedAt }: JudgedCandidate): string =>
  servedAt.length === positions.length ? '' : `${servedAt[0]?.split(' ')[1] ?? ''}: `;

/** Half a step either side of the required ratings, in bar on the common index. */
function heatView({ scales, positions, candidates }: JudgedEngine): Tray['heat'] {
  const asked = rulingValue(positions[0]!.sheet, 'position.heat');
  const shown = new Set([asked?.scale.maker, ...candidates.map(({ part }) => part.maker)]);
  const rails = [...scales.values()]
    .filter(({ maker }) => shown.has(maker))
    .map(({ maker, ratings }) => ({ maker, ratings: [...ratings] }));
  if (!asked) return { rails, requiredMaker: null, requiredBar: [], targetLowBar: null, targetHighBar: null };
  const requiredBar = asked.codes.map((code) => heatIndexBar(asked.scale, code)).filter((bar) => bar !== undefined);
  const halfStepFrom = (bar: number, towards: 1 | -1): number => {
    const { ratings } = asked.scale;
    const at = placeOnScale(asked.scale, bar).steps + towards / 2;
    const low = Math.max(0, Math.min(ratings.length - 2, Math.floor(at)));
    return ratings[low]!.indexBar + (at - low) * (ratings[low + 1]!.indexBar - ratings[low]!.indexBar);
  };
  return {
    rails,
    requiredMaker: asked.scale.maker,
    requiredBar,
    targetLowBar: requiredBar.length > 0 ? halfStepFrom(Math.min(...requiredBar), -1) : null,
    targetHighBar: requiredBar.length > 0 ? halfStepFrom(Math.max(...requiredBar), 1) : null,
  };
}

/** The whole tray as the counter sees it: rows ranked, the head, the maker's own plug, the heat rails. */
export function trayView(judged: JudgedEngine, engineId: string, rules: HouseRules, inHand: string | undefined): Tray {
  const tables = new TrayTables();
  const rows = judged.candidates.map((candidate) => rowView(judged, candidate, inHand, tables));
  const named = rows.find(({ evidence }) => evidence.named);
  const { byReference, bySize, ...verdicts } = judged.counts;
  return {
    engineId,
    positions: judged.positions.map((p) => p.label),
    rows,
    findings: tables.findings,
    sources: tables.sources,
    counts: { byReference, bySize, verdicts },
    order: RANKING_TOLD,
    rules: [{ rule: 'Better electrode', choice: rules.electrodeUpgrade === 'allowed' ? 'may be sold' : 'as designed' }],
    head: headShape(judged.positions[0]!.sheet),
    oePlug: named ? { printed: named.printed, shape: named.shape } : null,
    heat: heatView(judged),
    catalogueVersion: judged.catalogueVersion,
    rulesVersion: rules.version,
  };
}
