import { describe, expect, test } from '@jest/globals';
import { VERDICTS, type Evidence, type Verdict } from '@brackenfell/core/fitment/verdict';
import {
  answeredInAnyCase,
  countAll,
  pickFirst,
  UNCONNECTED,
  type ScreenedBySize,
  type ScreenedCandidate,
} from './pick-candidates.ts';

const candidate = (
  id: string,
  verdict: Verdict,
  closeness = 0,
  evidence: Evidence = UNCONNECTED,
): ScreenedCandidate => ({
  id,
  place: 'plug',
  evidence,
  verdict,
  closeness,
});

function bySizeOf(all: readonly ScreenedCandidate[]): ScreenedBySize {
  return {
    verdicts: Uint8Array.from(all, ({ verdict }) => VERDICTS.indexOf(verdict)),
    closeness: Float64Array.from(all, ({ closeness }) => closeness),
    candidate: (i) => all[i]!,
  };
}

const pick = (found: ScreenedCandidate[], bySize: ScreenedCandidate[], most: number, inHand?: string) =>
  pickFirst(found, bySizeOf(bySize), most, answeredInAnyCase(found, inHand))
    .map(({ id }) => id)
    .sort();
const listed: Evidence = { named: false, listed: true };
const equivalent: Evidence = { named: false, listed: false, trailGrade: 'equivalent' };
const observed: Evidence = { named: false, listed: false, trailGrade: 'observed' };

describe('which candidates are explained', () => {
  test('the soonest sold, then the closest, of thousands that nothing but their size speaks for', () => {
    const refused = Array.from({ length: 5000 }, (_, i) => candidate(`r${i}`, 'refuse', i));
    const sold = [candidate('far', 'sell-with-advice', 3), candidate('near', 'sell-with-advice', 1)];
    expect(pick([], [...refused, ...sold, candidate('ask', 'ask-first')], 2)).toEqual(['far', 'near']);
    expect(pick([], [...refused, ...sold, candidate('ask', 'ask-first')], 4)).toEqual(['ask', 'far', 'near', 'r0']);
  });

  test('a listed one comes before a closer one that nobody lists', () => {
    expect(
      pick([candidate('listed', 'sell-with-advice', 4, listed)], [candidate('near', 'sell-with-advice', 0)], 1),
    ).toEqual(['listed']);
  });

  test('what a list or a trusted trail claims to fit, though it is refused; a mere sighting is no claim', () => {
    const found = [
      candidate('claimed', 'refuse', 9, equivalent),
      candidate('seen', 'refuse', 9, observed),
      candidate('own', 'sell', 0, { named: true, listed: false }),
    ];
    expect(pick(found, [candidate('other', 'sell-with-advice')], 1)).toEqual(['claimed', 'own']);
  });

  test('what the customer holds, whatever becomes of it', () => {
    const found = [candidate('held', 'refuse', 50)];
    expect(pick(found, [candidate('a', 'sell-with-advice')], 1, 'held')).toEqual(['a', 'held']);
    expect(pick(found, [candidate('a', 'sell-with-advice')], 1)).toEqual(['a']);
  });

  test('those that tie with the last, so that stock and cost can decide, but not without end', () => {
    const tied = Array.from({ length: 400 }, (_, i) => candidate(`t${i}`, 'ask-first', 1));
    expect(pick([], tied.slice(0, 20), 5)).toHaveLength(20);
    expect(pick([], tied, 5).length).toBeLessThanOrEqual(60);
  });

  test('all are counted, by verdict and by what led to them, shown or not', () => {
    const found = [candidate('a', 'sell', 0, listed), candidate('stranger', 'refuse')];
    const counts = countAll(found, bySizeOf([candidate('b', 'refuse'), candidate('c', 'ask-first')]), new Set(['a']));
    expect(counts).toEqual({
      sell: 1,
      'sell-with-advice': 0,
      'ask-first': 1,
      'needs-supervisor': 0,
      refuse: 2,
      byReference: 1,
      bySize: 3,
      notJudged: 0,
    });
  });
});
