import type { Finding } from '../fitment/finding.ts';
import type { SharedFinding } from '../fitment/judge-part.ts';
import { TRAY_ORDER } from '../fitment/ranking.ts';
import { restsOnWeakPaper, VERDICT_WORDS, type Evidence, type Verdict } from '../fitment/verdict.ts';
import { checkTitle } from '../kinds/checks-by-kind.ts';
import { counted, listed } from '../words/counted.ts';
import { drawn, type Draw, type DrillCase } from './drill-case.ts';
import { toldRow } from './told-row.ts';

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

/** Why a part has its verdict: the rule, then what it rests on. */
function because({ verdict, evidence }: JudgedPart, asked: readonly Finding[]): readonly string[] {
  const deciding = asked.filter(DECIDES[verdict]);
  // What its maker's listing vouches for is told, and not counted. Plugs: Overall.
  const counting = asked.filter(({ outcome, relief }) => outcome === 'acceptable' && relief === undefined);
  const isByNumber = verdict === 'needs-supervisor' && deciding.length === 0;
  return [
    RULES[verdict],
    ...(isByNumber
      ? [`${counted(counting.length, 'thing')} to tell: ${listed(counting.map(({ check }) => checkTitle(check)))}.`]
      : []),
    ...deciding.map(({ check, told }) => [`${checkTitle(check)}: ${told.says}`, told.toDo ?? ''].join(' ').trim()),
    ...(verdict === 'sell-with-advice' && restsOnWeakPaper(evidence) ? [`Weak paper: ${sayEvidence(evidence)}.`] : []),
  ];
}

/** A part held against its engine, check by check: which verdict. Each verdict that the tray has is as likely as another. */
export function verdictCase(tray: readonly JudgedPart[], draw: Draw): DrillCase | undefined {
  const verdict = drawn([...new Set(tray.map((one) => one.verdict))], draw);
  const part = drawn(
    tray.filter((one) => one.verdict === verdict),
    draw,
  );
  if (!part) return undefined;
  const asked = part.findings.filter(({ outcome }) => outcome !== 'not-asked');
  return {
    topic: 'verdict',
    asks: `What do you say of ${part.part}?`,
    facts: [
      { label: 'Engine', says: part.engine },
      { label: 'Offered', says: part.part, isCode: true },
      { label: 'Paper', says: sayEvidence(part.evidence) },
    ],
    rows: asked.map((finding) => {
      const title = checkTitle(finding.check);
      return toldRow(finding.onlyAt.length > 0 ? `${title} (${listed(finding.onlyAt)})` : title, finding);
    }),
    choices: TRAY_ORDER.map((id) => ({ id, says: VERDICT_WORDS[id] })),
    right: part.verdict,
    why: because(part, asked),
  };
}
