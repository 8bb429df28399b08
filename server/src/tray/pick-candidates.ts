import { TRAY_ORDER, trayPlacing } from '@brackenfell/core/fitment/ranking';
import type { ScreenedPlugs } from '@brackenfell/core/plugs/screening/screen';
import { VERDICTS, type Evidence, type Verdict } from '@brackenfell/core/fitment/verdict';
import { isWeak } from '@brackenfell/core/interchange/trail';

/** Candidates that tie with the last that is shown are told apart by stock and cost; more of them than this are not. */
const MOST_TIED = 50;
/** Claimed candidates that are shown beyond the first: a false claim can join thousands. */
const MOST_CLAIMED = 60;

/** A plug's verdict before it is explained, for the place it suits best. */
export interface ScreenedCandidate {
  readonly id: string;
  readonly place: string;
  readonly evidence: Evidence;
  readonly verdict: Verdict;
  readonly closeness: number;
}

/** How many candidates were looked at, by verdict and by what led to them. */
export type CandidateCounts = {
  readonly byReference: number;
  readonly bySize: number;
  /** Of about the form, and further off than those that were. */
  readonly notJudged: number;
} & Readonly<Record<Verdict, number>>;

export function countAll(
  found: readonly ScreenedCandidate[],
  bySize: ScreenedPlugs,
  reached: ReadonlySet<string>,
): CandidateCounts {
  const verdicts = Object.fromEntries(VERDICTS.map((verdict) => [verdict, 0])) as Record<Verdict, number>;
  for (const { verdict } of found) verdicts[verdict] += 1;
  const bySizeCounts = countVerdicts(bySize);
  for (const [i, verdict] of VERDICTS.entries()) verdicts[verdict] += bySizeCounts[i]!;
  const byReference = found.filter(({ id }) => reached.has(id)).length;
  return { ...verdicts, byReference, bySize: found.length - byReference + bySize.verdicts.length, notJudged: 0 };
}

/** How many have each verdict, in the order of the verdicts. */
function countVerdicts({ verdicts }: ScreenedPlugs): number[] {
  const counts = VERDICTS.map(() => 0);
  for (const verdict of verdicts) counts[verdict]! += 1;
  return counts;
}

/** What a list claims to fit is shown with its answer however bad it is: somebody will ask for it. */
const isClaimed = ({ named, listed, trailGrade }: Evidence): boolean =>
  named || listed || (trailGrade !== undefined && !isWeak(trailGrade));

/** Ids of the candidates that are shown wherever they stand: what is claimed, and what the customer holds. */
export function answeredInAnyCase(
  found: readonly Pick<ScreenedCandidate, 'id' | 'evidence'>[],
  inHand: string | undefined,
): ReadonlySet<string> {
  const claimed = found.filter(({ evidence }) => isClaimed(evidence)).slice(0, MOST_CLAIMED);
  return new Set([...claimed.map(({ id }) => id), ...(inHand === undefined ? [] : [inHand])]);
}

export interface ScreenedBySize extends ScreenedPlugs {
  candidate(i: number): ScreenedCandidate;
}

export const UNCONNECTED: Evidence = { named: false, listed: false };

/** The first by placing, with those that tie with the last of them, and those that are answered in any case. */
export function pickFirst(
  found: readonly ScreenedCandidate[],
  bySize: ScreenedBySize,
  most: number,
  answered: ReadonlySet<string>,
  standing: (evidence: Evidence) => Evidence = (evidence) => evidence,
): ScreenedCandidate[] {
  const own = found.map((c) => trayPlacing(c.verdict, standing(c.evidence), c.closeness));
  const first = firstVerdicts(bySize, most);
  const base = VERDICTS.map((verdict) => trayPlacing(verdict, UNCONNECTED, 0));
  const others = Float64Array.from(first, (i) => base[bySize.verdicts[i]!]! + bySize.closeness[i]!);
  const all = new Float64Array(own.length + others.length);
  all.set(own);
  all.set(others, own.length);
  const last = all.sort()[most - 1] ?? Infinity;
  let tied = MOST_TIED;
  const isFirst = (placing: number) => placing < last || (placing === last && (tied -= 1) >= 0);
  return [
    ...found.filter(({ id }, i) => isFirst(own[i]!) || answered.has(id)),
    ...first.filter((_, n) => isFirst(others[n]!)).map((i) => bySize.candidate(i)),
  ];
}

/** Places of those with the best verdicts, of as many as make up the first `most`: thousands of refusals are left out unsorted. */
function firstVerdicts(bySize: ScreenedPlugs, most: number): number[] {
  const counts = countVerdicts(bySize);
  const isTaken = VERDICTS.map(() => false);
  let count = 0;
  for (const verdict of TRAY_ORDER) {
    if (count >= most) break;
    isTaken[VERDICTS.indexOf(verdict)] = true;
    count += counts[VERDICTS.indexOf(verdict)]!;
  }
  const first: number[] = [];
  for (let i = 0; i < bySize.verdicts.length; i += 1) if (isTaken[bySize.verdicts[i]!]!) first.push(i);
  return first;
}
