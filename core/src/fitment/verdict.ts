import { isWeak, type ReferenceGrade } from '../interchange/trail.ts';
import type { Check } from './define-check.ts';
import type { Finding } from './finding.ts';

/** Verdicts from worst to best: over several positions the worst counts. Plugs: Overall. */
export const VERDICTS = ['refuse', 'ask-first', 'needs-supervisor', 'sell-with-advice', 'sell'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  sell: 'Sell',
  'sell-with-advice': 'Sell with advice',
  'ask-first': 'Ask first',
  'needs-supervisor': 'Needs supervisor',
  refuse: 'Refuse',
};

/** How a candidate is connected to this engine and position. */
export interface Evidence {
  /** The engine maker names this very number, or a number one `same` step away. */
  readonly named: boolean;
  /** A part maker states that it suits this version and position, and the statement's restriction is met. */
  readonly listed: boolean;
  /** Best trail of references from a named number. */
  readonly trailGrade?: ReferenceGrade;
}

/** Acceptables from here on are too many for the counter alone. Plugs: Overall. */
const MANY_ACCEPTABLES = 4;
/** Lets an unknown through where what may vouch for its check does. Plugs: Overall. */
export function relieve({ vouchedBy }: Pick<Check, 'vouchedBy'>, finding: Finding, evidence: Evidence): Finding {
  if (finding.outcome !== 'unknown' || finding.caseId === 'questioned') return finding;
  if (evidence.named && vouchedBy.includes('own-number')) {
    const says = 'Not published, but this is the number the engine maker names.';
    const told = { ...finding.told, says, toDo: null, phrase: 'As specified by the engine maker' };
    return { ...finding, outcome: 'match', relief: 'as-specified', missing: [], blocks: false, told };
  }
  if (evidence.listed && vouchedBy.includes('listing')) {
    const told = {
      ...finding.told,
      says: 'Listed by its maker for this engine and position; not measured here.',
      toDo: finding.told.toDo && `If in doubt: ${finding.told.toDo}`,
      phrase: 'Listed, not measured',
    };
    return { ...finding, outcome: 'acceptable', relief: 'listed-not-measured', missing: [], blocks: false, told };
  }
  return finding;
}

/**
 * What a verdict needs of findings, added up: flags in the low four bits, above them the number of counted acceptables.
 * A plain number, so that a hundred thousand plugs are screened by the very rule that judges one.
 */
export type Tally = number;
const REFUSED = 1;
const OPEN = 2;
const CAUTIONED = 4;
const ADVISED = 8;
const FLAGS = 15;
const ONE_COUNTED = 16;
export const NOTHING_FOUND: Tally = 0;

export function tallyOf({ outcome, blocks, relief }: Pick<Finding, 'outcome' | 'blocks' | 'relief'>): Tally {
  switch (outcome) {
    case 'refuse':
      return REFUSED;
    case 'unknown':
      return blocks ? OPEN | ADVISED : ADVISED;
    case 'caution':
      return CAUTIONED;
    case 'acceptable':
      return relief === undefined ? ADVISED + ONE_COUNTED : ADVISED;
    default:
      return NOTHING_FOUND;
  }
}

export const addTallies = (a: Tally, b: Tally): Tally => ((a | b) & FLAGS) + (a & ~FLAGS) + (b & ~FLAGS);

/** Nothing leads to the part, or only a trail that says less than that it fits the same. Plugs: Overall. */
export const restsOnWeakPaper = ({ named, listed, trailGrade }: Evidence): boolean =>
  !named && !listed && (trailGrade === undefined || isWeak(trailGrade));

/** The overall verdict from (relieved) findings added up, and the evidence. Plugs: Overall. */
export function verdictOf(tally: Tally, evidence: Evidence): Verdict {
  if (tally & REFUSED) return 'refuse';
  if (tally & OPEN) return 'ask-first';
  if (tally & CAUTIONED || tally >= MANY_ACCEPTABLES * ONE_COUNTED) return 'needs-supervisor';
  if (tally & ADVISED || restsOnWeakPaper(evidence)) return 'sell-with-advice';
  return 'sell';
}

/** The overall verdict on one plug at one position, from its (relieved) findings and its evidence. */
export function overallVerdict(findings: readonly Finding[], evidence: Evidence): Verdict {
  let tally = NOTHING_FOUND;
  for (const finding of findings) tally = addTallies(tally, tallyOf(finding));
  return verdictOf(tally, evidence);
}

/** The verdict of a part that serves several positions: the worst of theirs. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict {
  return VERDICTS[Math.min(...verdicts.map((verdict) => VERDICTS.indexOf(verdict)))]!;
}
