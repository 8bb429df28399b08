import type { LineJudgement, SharedFinding } from './judge-part.ts';
import type { Finding } from './finding.ts';
import { overallVerdict, type Evidence } from './verdict.ts';
import { lowerFirst } from '../words/case.ts';

/** A judgement as it would be for one build of the engine. */
export interface JudgementForBuild {
  /** The build, as it is told: "to Aug 2016". */
  readonly build: string;
  readonly judgement: LineJudgement;
}

/**
 * One judgement while it is not known which build the engine is: what holds for every build stands, what differs becomes an
 * open question, and what every build refuses is refused. Never a guess. Coils: Builds.
 */
export function judgeWhileBuildUnknown(
  forBuilds: readonly JudgementForBuild[],
  question: string,
  evidence: Evidence,
): LineJudgement {
  const [first] = forBuilds;
  if (!first) throw new RangeError('An engine has at least one build.');
  if (forBuilds.every(({ judgement }) => judgement.verdict === 'refuse')) return first.judgement;
  const findings = first.judgement.findings.map((finding, i): SharedFinding => {
    const here = forBuilds.map(({ build, judgement }) => ({ build, finding: judgement.findings[i]! }));
    const alike = here.every(
      (one) => one.finding.outcome === finding.outcome && one.finding.told.phrase === finding.told.phrase,
    );
    return alike ? finding : splitFinding(here, question);
  });
  return {
    findings,
    verdict: overallVerdict(findings, evidence),
    closeness: Math.min(...forBuilds.map(({ judgement }) => judgement.closeness)),
  };
}

function splitFinding(here: readonly { build: string; finding: SharedFinding }[], question: string): SharedFinding {
  const { finding } = here[0]!;
  const asked = [...new Set(here.map((one) => one.finding.told.asked).filter((words) => words !== ''))];
  const refuses = here.some((one) => one.finding.outcome === 'refuse');
  return {
    ...finding,
    outcome: 'unknown',
    caseId: 'split',
    figures: { builds: here.map(({ build }) => build), outcomes: here.map((one) => one.finding.outcome) },
    told: {
      asked: asked.join(' or '),
      has: finding.told.has,
      difference: null,
      says: `It depends on the build. ${here.map((one) => `${one.build}: ${inSentence(one.finding)}`).join(' ')}`,
      toDo: question,
      phrase: refuses ? 'Fits one build and not the other' : 'Depends on the build',
    },
    missing: [],
    blocks: true,
    closeness: 0,
  };
}

const inSentence = ({ outcome, told }: Pick<Finding, 'outcome' | 'told'>): string =>
  `${lowerFirst(told.phrase)}${outcome === 'refuse' ? ', refused' : ''}.`;
