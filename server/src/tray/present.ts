import { inPacks } from '@brackenfell/core/slip/line-quantity';
import { saySpoke } from '@brackenfell/core/house-rules/settle-rules';
import { PRICED_OVER } from '@brackenfell/core/service-plan/running-hours';
import { contradictedSteps } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import { countsIn } from './cost.ts';
import { CHECKS_BY_KIND } from '@brackenfell/core/kinds/checks-by-kind';
import { judgingRulesOf } from '@brackenfell/core/kinds/judging-rules';
import { FACTS, rulingValue } from '@brackenfell/core/facts/facts';
import type { Telling } from '@brackenfell/core/fitment/finding';
import type { SharedFinding } from '@brackenfell/core/fitment/judge-part';
import { chosenSchool, HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { RANKING_TOLD } from '@brackenfell/core/fitment/ranking';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import type { Finding, TrailView, Tray, TrayFact, TrayFinding, TrayRow } from '@brackenfell/contract/tray';
import { write, type Written } from '../http/serve.ts';
import { buildChoices, buildQuestion } from './build-question.ts';
import { drawingAt, type Around } from './drawing.ts';
import { dutyView } from './duty-view.ts';
import type { JudgedCandidate, JudgedEngine } from './judge-plugs.ts';
import { partShape } from './shapes.ts';

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
    missing: finding.missing.map((fact) => ({ id: fact, fact: FACTS[fact].label, question: FACTS[fact].question })),
    blocks,
    ...(relief ? { relief } : {}),
    onlyAt: [...onlyAt],
  };
}

type Used = SharedFinding['sources'][number];
type Origin = Tray['origins'][number];

/** The tables that the rows of one tray refer to: what they share is told once. */
class TrayTables {
  readonly findings: TrayFinding[] = [];
  readonly sources: TrayFact[] = [];
  readonly origins: Origin[] = [];
  readonly #told = new Map<Telling, { onlyAt: readonly string[]; place: number }[]>();
  readonly #originPlaces = new Map<string, number>();
  readonly #sourcePlaces = new Map<string, number>();
  readonly #used = new Map<Used, number>();

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

  #sourcePlace({ fact, source, questions }: Used): number {
    const from = placeIn(this.origins, this.#originPlaces, `${source.rank}|${source.name}`, () => source);
    return placeIn(this.sources, this.#sourcePlaces, `${fact}|${from}|${String(questions)}`, () => {
      const used = { fact: FACTS[fact].label, from };
      return questions ? { ...used, questions } : used;
    });
  }
}

/** Where in a table that has a key stands, put there where it does not stand yet. */
function placeIn<T>(table: T[], places: Map<string, number>, key: string, make: () => T): number {
  const known = places.get(key);
  if (known !== undefined) return known;
  const place = table.push(make()) - 1;
  places.set(key, place);
  return place;
}

function trailView(judged: JudgedEngine, { trail }: JudgedCandidate): TrailView | null {
  if (!trail) return null;
  const name = (id: string) => judged.printed.get(id) ?? id;
  const contradicted = contradictedSteps(
    [trail.from, ...trail.steps.map(({ to }) => to)].map((id) => judged.comparedAs?.(id)),
  ).slice(1);
  return {
    from: name(trail.from),
    grade: trail.grade,
    steps: trail.steps.map(({ edgeId, grade, to }, i) => {
      const edge = judged.edges.get(edgeId)!;
      return {
        to: name(to),
        grade,
        source: edge.source,
        notedOn: edge.notedOn,
        note: edge.note,
        contradicts: contradicted[i] ?? null,
      };
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

function evidenceWord({ evidence, trail, bySizeOnly }: JudgedCandidate, bySize: string): string {
  if (evidence.named) return 'named';
  if (evidence.listed) return 'listed';
  if (trail) return EVIDENCE_WORDS[trail.grade];
  return bySizeOnly ? bySize : 'none';
}

/** What a row tells wherever its part lies and whatever it costs. */
type ToldRow = Omit<TrayRow, 'onHand' | 'held' | 'unproven' | 'takes' | 'bin' | 'priceMinor' | 'costOverServiceMinor'>;

function toldRow(
  judged: JudgedEngine,
  candidate: JudgedCandidate,
  inHand: string | undefined,
  tables: TrayTables,
): ToldRow {
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
    evidenceWord: evidenceWord(candidate, judged.kind === 'plug' ? 'by size' : 'by form'),
    heatBar: heat?.indexBar ?? null,
    heatCode: heat?.code ?? null,
    shape: partShape(judged.kind, sheet, judged.positions.find((p) => p.place === candidate.place)!.sheet),
    place: candidate.place,
    inHand: part.id === inHand,
  };
}

/** The rows of one tray that were told before, and the tables they refer to. */
class ToldTray {
  readonly tables = new TrayTables();
  readonly rows = new Map<string, ToldRow>();
  /** The last answer, and of which shelf and surroundings it was. */
  last: { readonly shelf: string; readonly around: Around | undefined; readonly written: Written<Tray> } | undefined;
}
const TOLD = new WeakMap<object, ToldTray>();

function toldOf({ laid }: JudgedEngine): ToldTray {
  const told = TOLD.get(laid) ?? new ToldTray();
  TOLD.set(laid, told);
  return told;
}

function rowsView(judged: JudgedEngine, inHand: string | undefined): { rows: TrayRow[]; tables: TrayTables } {
  const told = toldOf(judged);
  const rows = judged.candidates.map((candidate): TrayRow => {
    const { part, servedAt, costOverServiceMinor } = candidate;
    const row = told.rows.get(part.id) ?? toldRow(judged, candidate, inHand, told.tables);
    told.rows.set(part.id, row);
    return {
      ...row,
      onHand: part.on_hand ?? 0,
      held: part.held,
      unproven: part.unproven,
      takes: inPacks(servedAt.length, part.pack_of),
      bin: part.bin,
      priceMinor: part.each_minor,
      costOverServiceMinor,
    };
  });
  return { rows, tables: told.tables };
}

/** Named in front of the reason where a cylinder's places take different plugs: "intake: …". */
const servedPlace = ({ positions }: JudgedEngine, { servedAt }: JudgedCandidate): string =>
  servedAt.length === new Set(positions.map(({ label }) => label)).size ? '' : `${servedAt[0]?.split(' ')[1] ?? ''}: `;

/** The tray in writing. Where the shelf is as it was when the same tray was told last, so is the answer. */
export function writeTray(
  judged: JudgedEngine,
  question: AskedTray,
  units: UnitDisplay,
  around: Around | undefined,
): Written<Tray> {
  const told = toldOf(judged);
  const { shelf } = judged;
  if (told.last?.shelf === shelf && told.last.around === around) return told.last.written;
  const written = write(trayView(judged, question, units, around));
  told.last = { shelf, around, written };
  return written;
}

interface AskedTray {
  readonly engineId: string;
  readonly inHand?: string | undefined;
}

/** The whole tray as the counter sees it: rows ranked, its columns, and what the drawing beside it shows. */
function trayView(judged: JudgedEngine, question: AskedTray, units: UnitDisplay, around: Around | undefined): Tray {
  const { kind, positions } = judged;
  const { rows, tables } = rowsView(judged, question.inHand);
  const settled = judged.ruling.settle(positions[0]!.sheet);
  const { byReference, bySize, notJudged, ...verdicts } = judged.counts;
  return {
    engineId: question.engineId,
    kind,
    columns: CHECKS_BY_KIND[kind].map(({ id, title, startsGroup = false }) => ({
      check: id,
      title,
      startsGroup,
    })),
    positions: [...new Set(positions.map((p) => p.label))],
    split: splitView(judged),
    rows,
    findings: tables.findings,
    sources: tables.sources,
    origins: tables.origins,
    counts: { byReference, bySize, notJudged, verdicts },
    order: RANKING_TOLD,
    rules: judgingRulesOf(kind).map((rule) => ({
      rule: HOUSE_RULES[rule].title,
      choice: [chosenSchool(settled.rules, rule).says, saySpoke(settled.spoke[rule])].filter(Boolean).join(', '),
    })),
    mixedFill: mixedFill(judged),
    duty: dutyView(judged, units),
    costOver: PRICED_OVER[countsIn(positions)].says,
    drawings: Object.fromEntries(
      [...new Set(positions.map(({ place }) => place))].map((place) => [place, drawingAt(judged, place, rows, around)]),
    ),
    catalogueVersion: judged.catalogueVersion,
    rulesVersion: judged.ruling.rules.version,
  };
}

/** Numbers the engine maker names that are the same as parts of several makers. References: Contradictions. */
function mixedFill({ candidates, printed }: JudgedEngine): Tray['mixedFill'] {
  const makers = new Map<string, Set<string>>();
  for (const { part, trail } of candidates) {
    if (trail?.steps.length !== 1 || trail.steps[0]!.grade !== 'same') continue;
    makers.set(trail.from, (makers.get(trail.from) ?? new Set()).add(part.maker));
  }
  return [...makers]
    .filter(([, names]) => names.size > 1)
    .map(([from, names]) => ({ number: printed.get(from) ?? from, makers: [...names].sort() }));
}

/** The question between builds that ask different parts; null where one part serves all. */
function splitView({ positions, everyPosition, engine }: JudgedEngine): Tray['split'] {
  const choices = buildChoices(everyPosition, engine.builds);
  if (choices.length === 0) return null;
  const standing = buildChoices(positions, engine.builds);
  return {
    chosen: standing.length === 1 ? standing[0]!.label : null,
    question: buildQuestion(everyPosition, engine.builds),
    choices,
  };
}
