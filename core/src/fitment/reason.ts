import { listed } from '../words/counted.ts';
import { worseFinding } from './define-check.ts';
import type { SharedFinding } from './judge-part.ts';
import type { Evidence, Verdict } from './verdict.ts';

/** The one phrase a row gives as its reason: its gravest finding, or what it rests on when every check matches. */
export function reasonPhrase(findings: readonly SharedFinding[], verdict: Verdict, evidence: Evidence): string {
  const telling = findings.filter((f) => f.outcome !== 'match' && f.outcome !== 'not-asked');
  if (telling.length > 0) {
    const worst = telling.reduce<SharedFinding>((a, b) => worseFinding(a, b) as SharedFinding, telling[0]!);
    const where = worst.onlyAt.length > 0 ? ` at ${listed(worst.onlyAt)}` : '';
    const more = telling.length > 1 ? `; ${telling.length - 1} more` : '';
    return `${worst.told.phrase}${where}${more}`;
  }
  if (evidence.named) return 'Engine maker’s own number';
  if (verdict === 'sell') return evidence.listed ? 'Listed by its maker; every check matches' : 'Every check matches';
  return evidence.trailGrade === undefined
    ? 'Every check matches, but nobody lists it'
    : `Every check matches; rests on “${evidence.trailGrade}”`;
}
