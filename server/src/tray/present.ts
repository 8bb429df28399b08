import { FACTS, type FactId, type FactSheet, type FactTypes } from '@brackenfell/core/fitment/facts';
import { lifeAtPositionKm } from '@brackenfell/core/fitment/electrode-wear';
import type { SharedFinding } from '@brackenfell/core/fitment/judge-plug';
import { gapUpperLimitMm } from '@brackenfell/core/fitment/firing-end';
import { compareInTray, RANKING_TOLD, type Rankable } from '@brackenfell/core/fitment/ranking';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import type { HouseRules } from '@brackenfell/core/fitment/house-rules';
import { heatIndexBar, placeOnScale } from '@brackenfell/core/heat-range/heat-scale';
import type { FactUsed, Finding, HeadShape, PlugShape, TrailView, Tray, TrayRow } from '@brackenfell/contract/tray';
import type { JudgedCandidate, JudgedEngine } from './judge-engine.ts';

/** The first ruling value of a fact, or undefined. */
function value<K extends FactId>(sheet: FactSheet, fact: K): FactTypes[K] | undefined {
  return sheet[fact]?.ruling[0]?.value;
}

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
  const centre = value(sheet, 'plug.centreMaterial');
  return {
    threadDiameterMm: value(sheet, 'plug.threadDiameterMm') ?? null,
    threadPitchMm: value(sheet, 'plug.threadPitchMm') ?? null,
    reachMm: value(sheet, 'plug.reachMm') ?? null,
    threadedLengthMm: value(sheet, 'plug.threadedLengthMm') ?? null,
    seat: value(sheet, 'plug.seat') ?? null,
    hexMm: value(sheet, 'plug.hexMm') ?? null,
    lengthMm: value(sheet, 'plug.lengthMm') ?? null,
    terminal: value(sheet, 'plug.terminal') ?? null,
    projectionMm: value(sheet, 'plug.projectionMm') ?? null,
    gapMm: value(sheet, 'plug.gapMm') ?? null,
    groundThicknessMm: value(sheet, 'plug.groundThicknessMm') ?? null,
    groundCount: value(sheet, 'plug.groundCount') ?? null,
    groundForm: value(sheet, 'plug.groundForm') ?? null,
    tipMm: centre === undefined ? null : TIP_MM[centre],
  };
}

/** The plug as it would run at a position: its gap at the upper limit it will be set to, as the depth check counts it. */
function shapeAt(sheet: FactSheet, asked: FactSheet): PlugShape {
  const range = value(asked, 'position.gapMm');
  if (!range) return plugShape(sheet);
  const gapMm = gapUpperLimitMm({
    adjust: value(sheet, 'plug.gapAdjust'),
    deliveredMm: value(sheet, 'plug.gapMm'),
    toleranceMm: value(sheet, 'plug.gapToleranceMm'),
    asked: range,
  });
  return { ...plugShape(sheet), gapMm };
}

/** Usual tip diameters, for drawing only. */
const TIP_MM = { nickel: 2.5, silver: 2, platinum: 1.1, iridium: 0.6 } as const;

function headShape(sheet: FactSheet): HeadShape {
  const well = value(sheet, 'position.wellBoreMm');
  return {
    threadDiameterMm: value(sheet, 'position.threadDiameterMm') ?? null,
    threadPitchMm: value(sheet, 'position.threadPitchMm') ?? null,
    headThreadMm: value(sheet, 'position.headThreadMm') ?? null,
    seat: value(sheet, 'position.seat') ?? null,
    wellBoreMm: typeof well === 'number' ? well : null,
    crownMm: value(sheet, 'position.crownMm') ?? null,
    lengthLimitMm: value(sheet, 'position.lengthLimitMm') ?? null,
  };
}

/** Collects the sources of a tray's findings, so that each is told once. */
class SourceTable {
  readonly list: FactUsed[] = [];
  readonly #places = new Map<string, number>();

  placeOf(used: FactUsed): number {
    const key = `${used.fact}|${used.source.rank}|${used.source.name}|${String(used.questions)}`;
    const known = this.#places.get(key);
    if (known !== undefined) return known;
    this.#places.set(key, this.list.length);
    return this.list.push(used) - 1;
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

const MINOR_PER_10000 = 10_000;

/** Cost of a set per 10 000 km of the life it reaches at the hardest of its positions, in minor units; null when unknown. */
function costPer10000Km(judged: JudgedEngine, { sheet, part }: JudgedCandidate): number | null {
  if (part.each_minor === null) return null;
  const lives = judged.positions.map(({ sheet: asked }) =>
    lifeAtPositionKm({
      polarity: value(asked, 'position.polarity') ?? 'forward',
      centre: value(sheet, 'plug.centreMaterial'),
      ground: value(sheet, 'plug.groundMaterial'),
      gapMm: value(asked, 'position.gapMm'),
      aspiration: value(asked, 'position.aspiration'),
      statedLifeKm: value(sheet, 'plug.lifeKm'),
    }),
  );
  if (lives.some((life) => life === undefined)) return null;
  return Math.round((part.each_minor * judged.positions.length * MINOR_PER_10000) / Math.min(...(lives as number[])));
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
  table: SourceTable,
): TrayRow & { rank: Rankable } {
  const { part, sheet, judgement, evidence } = candidate;
  const cost = costPer10000Km(judged, candidate);
  const heat = value(sheet, 'plug.heat');
  return {
    partId: part.id,
    printed: part.printed,
    maker: part.maker,
    verdict: judgement.verdict,
    reason: `${servedPlace(judged, candidate)}${reasonPhrase(judgement.findings, judgement.verdict, evidence)}`,
    findings: judgement.findings.map((finding) => {
      const { sources, ...view } = findingView(finding);
      return { ...view, sources: sources.map((used) => table.placeOf(used)) };
    }),
    evidence: { named: evidence.named, listed: candidate.listedBy, trail: trailView(judged, candidate) },
    evidenceWord: evidenceWord(candidate),
    onHand: part.on_hand ?? 0,
    bin: part.bin,
    priceMinor: part.each_minor,
    costPer10000KmMinor: cost,
    heatBar: heat?.indexBar ?? null,
    heatCode: heat?.code ?? null,
    shape: shapeAt(sheet, judged.positions[0]!.sheet),
    inHand: part.id === inHand,
    rank: {
      verdict: judgement.verdict,
      evidence,
      closeness: judgement.closeness,
      onHand: part.on_hand ?? 0,
      costPer10000Km: cost ?? undefined,
      printed: part.printed,
    },
  };
}

/** Named in front of the reason where a cylinder's places take different plugs: "intake: …". */
const servedPlace = ({ positions }: JudgedEngine, { servedAt }: JudgedCandidate): string =>
  servedAt.length === positions.length ? '' : `${servedAt[0]?.split(' ')[1] ?? ''}: `;

/** Half a step either side of the required ratings, in bar on the common index. */
function heatView({ scales, positions, candidates }: JudgedEngine): Tray['heat'] {
  const asked = value(positions[0]!.sheet, 'position.heat');
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
  const table = new SourceTable();
  const ranked = judged.candidates
    .map((candidate) => ({ candidate, row: rowView(judged, candidate, inHand, table) }))
    .sort((a, b) => compareInTray(a.row.rank, b.row.rank));
  const named = ranked.find(({ row }) => row.evidence.named);
  const bySize = ranked.filter(({ candidate }) => candidate.bySizeOnly).length;
  return {
    engineId,
    positions: judged.positions.map((p) => p.label),
    rows: ranked.map(({ row: { rank: _rank, ...row } }) => row),
    sources: table.list,
    byReference: ranked.length - bySize,
    bySize,
    order: RANKING_TOLD,
    rules: [{ rule: 'Better electrode', choice: rules.electrodeUpgrade === 'allowed' ? 'may be sold' : 'as designed' }],
    head: headShape(judged.positions[0]!.sheet),
    oePlug: named ? { printed: named.row.printed, shape: named.row.shape } : null,
    heat: heatView(judged),
    catalogueVersion: judged.catalogueVersion,
    rulesVersion: rules.version,
  };
}
