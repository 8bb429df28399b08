import { REFERENCE_GRADES } from '../interchange/trail.ts';
import type { Evidence, Verdict } from './verdict.ts';

/** The tray's order of verdicts: by how soon a part could be sold. */
export const TRAY_ORDER: readonly Verdict[] = ['sell', 'sell-with-advice', 'ask-first', 'needs-supervisor', 'refuse'];

export interface Rankable {
  readonly verdict: Verdict;
  readonly evidence: Evidence;
  readonly closeness: number;
  readonly onHand: number;
  /** Minor currency units per 10 000 km; unknown goes last. */
  readonly costOverService: number | undefined;
  /** Printed number: settles what is equal in all else, so that the order never wavers. */
  readonly printed: string;
}

/** The order told to whoever asks. */
export const RANKING_TOLD = 'Order: verdict, evidence, closeness, in stock, cost per distance';

const evidenceRank = ({ named, listed, trailGrade }: Evidence): number => {
  if (named) return 0;
  if (listed) return 1;
  return trailGrade === undefined ? 2 + REFERENCE_GRADES.length : 2 + REFERENCE_GRADES.indexOf(trailGrade);
};

const VERDICT_WEIGHT = 1e9;
const EVIDENCE_WEIGHT = 1e7;

/**
 * Where a candidate stands in the tray by verdict, evidence and closeness, the lower the sooner: one number, so that the
 * best of thousands are picked out before anything else of them is looked at.
 */
export function trayPlacing(verdict: Verdict, evidence: Evidence, closeness: number): number {
  const nearness = Math.min(closeness, EVIDENCE_WEIGHT - 1);
  return TRAY_ORDER.indexOf(verdict) * VERDICT_WEIGHT + evidenceRank(evidence) * EVIDENCE_WEIGHT + nearness;
}

/** Compares two candidates for the tray. Plugs: Ranking. */
export function compareInTray(a: Rankable, b: Rankable): number {
  return (
    trayPlacing(a.verdict, a.evidence, a.closeness) - trayPlacing(b.verdict, b.evidence, b.closeness) ||
    Number(b.onHand > 0) - Number(a.onHand > 0) ||
    (a.costOverService ?? Infinity) - (b.costOverService ?? Infinity) ||
    (a.printed < b.printed ? -1 : a.printed > b.printed ? 1 : 0)
  );
}
