import type { Check, CheckExample } from '../fitment/define-check.ts';
import type { Finding, Outcome } from '../fitment/finding.ts';
import type { SharedFinding } from '../fitment/judge-part.ts';
import type { Say } from '../fitment/say.ts';
import { restsOnWeakPaper, VERDICT_WORDS, type Evidence, type Verdict } from '../fitment/verdict.ts';
import { TRAY_ORDER } from '../fitment/ranking.ts';
import { FACTS, type FactId, type FactSheet } from '../facts/facts.ts';
import type { Span } from '../facts/fact-shapes.ts';
import { checkTitle } from '../kinds/checks-by-kind.ts';
import { PLUG_CHECKS } from '../plugs/plug-checks.ts';
import { counted, listed } from '../words/counted.ts';
import { drawn, type Draw, type DrillCase, type DrillFact, type DrillRow } from './drill-case.ts';

/** Outcomes that a check can come to, as they are asked for. */
const OUTCOME_CHOICES = [
  { id: 'match', says: 'Match' },
  { id: 'acceptable', says: 'Acceptable, with advice' },
  { id: 'caution', says: 'Caution' },
  { id: 'refuse', says: 'Refuse' },
] as const;
const isAsked = ({ outcome }: Finding): boolean => OUTCOME_CHOICES.some(({ id }) => id === outcome);

/** What stands where one side of a check is not known: which fact is missing there. */
const OFFERED = /^(?:plug|coil|leads|cap|rotor)\./;
const missingAt = (missing: readonly FactId[], isOffered: boolean): string => {
  const labels = missing.filter((id) => OFFERED.test(id) === isOffered).map((id) => FACTS[id].label);
  return labels.length === 0 ? '–' : `not known: ${listed(labels)}`;
};

const rowOf = (title: string, { told, outcome, missing }: Finding): DrillRow => ({
  title,
  asked: told.asked || missingAt(missing, false),
  has: told.has || missingAt(missing, true),
  outcome,
  says: told.says,
});

const sheetOf = (facts: CheckExample['facts']): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      { ruling: [{ value, source: { rank: 'engine-maker', name: 'practice' } }] },
    ]),
  );

/** A fact of an example in few words; undefined where it takes more, as a whole heat scale. */
function inWords(id: FactId, value: unknown, say: Say): string | undefined {
  const { printedAs } = FACTS[id];
  if (typeof value === 'number') return printedAs ? say.quantity(printedAs, value) : String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  const span = value as Partial<Span> | null;
  return printedAs && typeof span?.low === 'number' && typeof span.high === 'number'
    ? say.span(printedAs, span as Span)
    : undefined;
}

const WHOSE: Readonly<Record<string, string>> = { plug: 'Plug', position: 'Engine', rule: 'House rule' };

/** What else the check looks at, besides what it holds against each other. */
const factsOf = (facts: CheckExample['facts'], { told }: Finding, say: Say): DrillFact[] =>
  Object.entries(facts).flatMap(([id, value]) => {
    const says = inWords(id as FactId, value, say);
    return says === undefined || says === told.asked || says === told.has
      ? []
      : [{ label: `${WHOSE[id.split('.')[0]!] ?? 'Job'}: ${FACTS[id as FactId].label}`, says }];
  });

/**
 * One check of a plug by itself: what the difference amounts to. Made of the check's own worked examples and judged by the check.
 * Each outcome that the check can come to is as likely as another.
 */
export function oneCheckCase(draw: Draw, say: Say, checks: readonly Check[] = PLUG_CHECKS): DrillCase | undefined {
  const check = drawn(checks, draw);
  if (!check) return undefined;
  const judged = check.examples
    .map(({ facts }) => ({ facts, finding: check.ask(sheetOf(facts), say) }))
    .filter(({ finding }) => isAsked(finding));
  const outcome = drawn([...new Set(judged.map((one) => one.finding.outcome))], draw);
  const example = drawn(
    judged.filter((one) => one.finding.outcome === outcome),
    draw,
  );
  if (!example) return undefined;
  const { facts, finding } = example;
  return {
    topic: 'one-check',
    asks: `${check.title}: what does it come to?`,
    facts: factsOf(facts, finding, say),
    rows: [rowOf(check.title, finding)],
    choices: OUTCOME_CHOICES,
    right: finding.outcome,
    why: [finding.told.says, ...(finding.told.toDo === null ? [] : [finding.told.toDo]), check.why],
  };
}

/** A candidate of a tray, as it was judged there. */
export interface JudgedPart {
  /** The engine and, where it has several, the place. */
  readonly engine: string;
  readonly part: string;
  readonly findings: readonly SharedFinding[];
  readonly verdict: Verdict;
  readonly evidence: Evidence;
}

const GRADES: Readonly<Record<NonNullable<Evidence['trailGrade']>, string>> = {
  same: 'a trail of the same part in another box',
  supersedes: 'a trail of the part that replaced it',
  equivalent: 'a trail of numbers that makers call equivalent',
  alternative: 'a trail that ends in an alternative',
  observed: 'a trail that rests on what was noted at this counter',
};

function sayEvidence({ named, listed: isListed, trailGrade }: Evidence): string {
  const says = [
    ...(named ? ['the engine maker names it'] : []),
    ...(isListed ? ['its maker lists it for this engine'] : []),
    ...(trailGrade === undefined ? [] : [GRADES[trailGrade]]),
  ];
  return says.length === 0 ? 'neither named nor listed, and no trail: by its dimensions alone' : listed(says);
}

/** The findings that decide a verdict, the first of them in the order of the hand. */
const DECIDES: Readonly<Record<Verdict, (finding: Finding) => boolean>> = {
  refuse: ({ outcome }) => outcome === 'refuse',
  'ask-first': ({ outcome, blocks }) => outcome === 'unknown' && blocks,
  'needs-supervisor': ({ outcome }) => outcome === 'caution',
  'sell-with-advice': ({ outcome }) => outcome === 'acceptable' || outcome === 'unknown',
  sell: () => false,
};

/** The rule that a verdict goes by, in one sentence. Plugs: Overall. */
const RULES: Readonly<Record<Verdict, string>> = {
  refuse: 'One refusal refuses the part, whatever else matches.',
  'ask-first':
    'Nothing refuses, and something that could refuse is not known: ask first, and nobody releases an open question.',
  'needs-supervisor':
    'Nothing refuses and nothing that could is open: a caution, or four things to tell, need the supervisor.',
  'sell-with-advice':
    'Something is to be told with it: an acceptable difference, an open figure that cannot refuse, or weak paper.',
  sell: 'Every check that arises matches, and good paper leads to it.',
};

/** A part held against its engine, check by check: which verdict. Each verdict that the tray has is as likely as another. */
export function verdictCase(tray: readonly JudgedPart[], draw: Draw): DrillCase | undefined {
  const verdict = drawn([...new Set(tray.map((one) => one.verdict))], draw);
  const part = drawn(
    tray.filter((one) => one.verdict === verdict),
    draw,
  );
  if (!part) return undefined;
  const asked = part.findings.filter(({ outcome }) => outcome !== 'not-asked');
  const deciding = asked.filter(DECIDES[part.verdict]);
  const acceptable = asked.filter(({ outcome }) => outcome === 'acceptable');
  const counts: Outcome = 'acceptable';
  const isByNumber = part.verdict === 'needs-supervisor' && deciding.length === 0;
  return {
    topic: 'verdict',
    asks: `What do you say of ${part.part}?`,
    facts: [
      { label: 'Engine', says: part.engine },
      { label: 'Offered', says: part.part, isCode: true },
      { label: 'Paper', says: sayEvidence(part.evidence) },
    ],
    rows: asked.map((finding) =>
      rowOf(
        finding.onlyAt.length > 0
          ? `${checkTitle(finding.check)} (${listed(finding.onlyAt)})`
          : checkTitle(finding.check),
        finding,
      ),
    ),
    choices: TRAY_ORDER.map((id) => ({ id, says: VERDICT_WORDS[id] })),
    right: part.verdict,
    why: [
      RULES[part.verdict],
      ...(isByNumber
        ? [
            `${counted(acceptable.length, 'check')} ${counts}: ${listed(acceptable.map(({ check }) => checkTitle(check)))}.`,
          ]
        : []),
      ...deciding.map(({ check, told }) => `${checkTitle(check)}: ${told.says}`),
      ...(part.verdict === 'sell-with-advice' && restsOnWeakPaper(part.evidence)
        ? [`Weak paper: ${sayEvidence(part.evidence)}.`]
        : []),
    ],
  };
}
