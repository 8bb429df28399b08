import { worseFinding, type Check } from './define-check.ts';
import type { FactSheet } from '../facts/facts.ts';
import { roundCloseness, type Finding } from './finding.ts';
import type { Say } from './say.ts';
import { overallVerdict, relieve, worstVerdict, type Evidence, type Verdict } from './verdict.ts';

/** A part judged at one position: every check's finding in the order of the hand, and what they amount to. */
export interface PartJudgement {
  readonly findings: readonly Finding[];
  readonly verdict: Verdict;
  /** Sum over the numeric checks of difference over match limit; the smaller, the closer. */
  readonly closeness: number;
}

/** Judges one part of any kind by its kind's checks. */
export function judgePart(checks: readonly Check[], sheet: FactSheet, evidence: Evidence, say: Say): PartJudgement {
  return weighFindings(
    checks,
    checks.map((check) => check.ask(sheet, say)),
    evidence,
  );
}

/** What all checks' findings, in their order, amount to under the evidence for a part. */
export function weighFindings(checks: readonly Check[], asked: readonly Finding[], evidence: Evidence): PartJudgement {
  const findings: Finding[] = [];
  let closeness = 0;
  for (let i = 0; i < asked.length; i += 1) {
    const finding = asked[i]!;
    findings.push(relieve(checks[i]!, finding, evidence));
    closeness += finding.closeness;
  }
  return { findings, verdict: overallVerdict(findings, evidence), closeness: roundCloseness(closeness) };
}

/** A finding told for several positions at once, with those where its outcome holds. */
export interface SharedFinding extends Finding {
  /** Labels of the positions it holds at; empty when it holds at all of them. */
  readonly onlyAt: readonly string[];
}

export interface LineJudgement {
  readonly findings: readonly SharedFinding[];
  readonly verdict: Verdict;
  readonly closeness: number;
}

/** A judgement and the labels of the positions it holds for, all of which ask the same. */
export interface JudgementAt {
  readonly labels: readonly string[];
  readonly judgement: PartJudgement;
}

const ALL: readonly string[] = [];

/**
 * One judgement over all the positions a part would serve: per check the gravest finding and where it holds; the verdict
 * is the worst of the positions'. Plugs: Overall.
 */
export function judgeOverPositions(byPosition: readonly JudgementAt[]): LineJudgement {
  const first = byPosition[0];
  if (!first) throw new RangeError('A part must serve at least one position.');
  const findings = first.judgement.findings.map((only, i): SharedFinding => {
    if (byPosition.length === 1) return { ...only, onlyAt: ALL };
    const here = byPosition.map(({ labels, judgement }) => ({ labels, finding: judgement.findings[i]! }));
    const finding = here.map((h) => h.finding).reduce(worseFinding);
    const at = here.filter((h) => h.finding.outcome === finding.outcome && h.finding.caseId === finding.caseId);
    return { ...finding, onlyAt: at.length === here.length ? ALL : at.flatMap((h) => h.labels) };
  });
  return {
    findings,
    verdict: worstVerdict(byPosition.map(({ judgement }) => judgement.verdict)),
    closeness: Math.max(...byPosition.map(({ judgement }) => judgement.closeness)),
  };
}
