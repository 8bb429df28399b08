import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { weigh, type EvidenceAspect, type EvidenceItem } from './evidence.ts';
import { judgeBatch, judgePiece, piecesToInspect } from './judge-piece.ts';
import { CHANNELS, priorOf, shareOf } from './prior.ts';

const item = (id: string, group: string, aspect: EvidenceAspect, ratio: number): EvidenceItem => ({
  id,
  title: id,
  group,
  aspect,
  logRatio: Math.log(ratio),
});

/** The same sum done another way: odds multiplied by ratios, each held within its limits, group by group. */
function chanceByHand(prior: number, items: readonly EvidenceItem[]): number {
  const held = (ratio: number, aspect: EvidenceAspect) =>
    aspect === 'paper' ? Math.max(1 / 3, Math.min(3, ratio)) : Math.max(0.25, Math.min(20, ratio));
  let odds = prior / (1 - prior);
  for (const group of new Set(items.map((one) => one.group))) {
    const members = items.filter((one) => one.group === group);
    const product = members.reduce((all, one) => all * held(Math.exp(one.logRatio), one.aspect), 1);
    odds *= held(product, members[0]!.aspect);
  }
  return odds / (1 + odds);
}

const anyItems = fc.array(
  fc
    .tuple(fc.integer({ min: 0, max: 5 }), fc.double({ min: 0.01, max: 100, noNaN: true }))
    .map(([group, ratio]) =>
      item(
        `of group ${group}`,
        `group ${group}`,
        group === 5 ? 'paper' : group === 4 ? 'packaging' : 'physical',
        ratio,
      ),
    ),
  { maxLength: 14 },
);
const anyPrior = fc.double({ min: 0.001, max: 0.6, noNaN: true });

describe('evidence on the log-odds axis', () => {
  test('adds up to what multiplying odds by hand gives, whatever was observed', () => {
    fc.assert(
      fc.property(anyPrior, anyItems, (prior, items) => {
        expect(weigh(prior, items).chance).toBeCloseTo(chanceByHand(prior, items), 9);
      }),
    );
  });

  test('does not depend on the order in which signs were looked at', () => {
    fc.assert(
      fc.property(anyPrior, anyItems, fc.infiniteStream(fc.nat()), (prior, items, keys) => {
        const shuffled = items.map((one) => ({ one, key: keys.next().value })).sort((a, b) => a.key - b.key);
        const again = weigh(
          prior,
          shuffled.map(({ one }) => one),
        );
        expect(again.logOdds).toBeCloseTo(weigh(prior, items).logOdds, 9);
      }),
    );
  });

  test('two signs that say the same for and against cancel, in one group or in two', () => {
    for (const groups of [
      ['a', 'a'],
      ['a', 'b'],
    ] as const) {
      const both = [item('for', groups[0], 'physical', 3), item('against', groups[1], 'physical', 1 / 3)];
      expect(weigh(0.12, both).chance).toBeCloseTo(0.12, 12);
    }
  });

  test('one sign counts twenty to one at most against a piece and four to one for it', () => {
    expect(weigh(0.5, [item('weld', 'weld', 'physical', 500)]).chance).toBeCloseTo(20 / 21, 9);
    expect(weigh(0.5, [item('weld', 'weld', 'physical', 1 / 500)]).chance).toBeCloseTo(1 / 5, 9);
  });

  test('print weight and print place of one faint stamp count as one sign, and the bar shows that it was held back', () => {
    const { steps, chance } = weigh(0.5, [
      item('weight', 'print', 'physical', 10),
      item('place', 'print', 'physical', 10),
    ]);
    expect(chance).toBeCloseTo(20 / 21, 9);
    expect(steps.map(({ capped }) => capped)).toEqual([false, true]);
    expect(Math.exp(steps[1]!.moved)).toBeCloseTo(2, 9);
  });

  test('price and batch code together move the odds by three at most, either way', () => {
    const odd = [item('price', 'paper', 'paper', 13), item('date', 'paper', 'paper', 20)];
    expect(weigh(0.5, odd).chance).toBeCloseTo(0.75, 9);
    const fine = [item('price', 'paper', 'paper', 0.2), item('date', 'paper', 'paper', 0.2)];
    expect(weigh(0.5, fine).chance).toBeCloseTo(0.25, 9);
  });
});

describe('what is believed before looking', () => {
  test('is the channel’s share while a seller has no settled batch', () => {
    const none = { settled: 0, notGenuine: 0 };
    expect(CHANNELS.map((channel) => priorOf(channel, none))).toEqual([0.002, 0.01, 0.05, 0.12, 0.05]);
  });

  test('moves with the seller’s settled batches: 4 of 23 from a marketplace seller is (0.12 × 20 + 4) / (20 + 23)', () => {
    expect(priorOf('marketplace', { settled: 23, notGenuine: 4 })).toBeCloseTo(6.4 / 43, 12);
    expect(priorOf('wholesale', { settled: 61, notGenuine: 0 })).toBeCloseTo(1 / 161, 12);
    expect(priorOf('depot', { settled: 10, notGenuine: 1 })).toBeCloseTo(2 / 510, 12);
    expect(priorOf('clearance', { settled: 38, notGenuine: 3 })).toBeCloseTo(5 / 78, 12);
    expect(priorOf('returned', { settled: 40, notGenuine: 0 })).toBeCloseTo(2 / 80, 12);
  });

  test('a seller’s share is told with a range that narrows as batches are settled', () => {
    expect(shareOf({ settled: 0, notGenuine: 0 })).toEqual({ share: null, low: 0, high: 1 });
    const few = shareOf({ settled: 5, notGenuine: 1 });
    const many = shareOf({ settled: 50, notGenuine: 10 });
    expect(few.share).toBe(many.share);
    expect(few.high - few.low).toBeGreaterThan(2 * (many.high - many.low));
    // The ends solve |p − share| = z √(p (1 − p) / n), the interval's own definition.
    for (const p of [many.low, many.high])
      expect(Math.abs(0.2 - p) / Math.sqrt((p * (1 - p)) / 50)).toBeCloseTo(1.6449, 6);
  });
});

describe('the band of a piece', () => {
  const fine = (groups: number) =>
    Array.from({ length: groups }, (_, i) => item(`sign ${i}`, `group ${i}`, 'physical', 0.4));

  test('is not inspected while only price and code are known, and while all that was tried could not be seen', () => {
    expect(judgePiece(0.6, [item('price', 'paper', 'paper', 3)]).band).toBe('not-inspected');
    const untold = item('weld', 'weld', 'physical', 1);
    expect(judgePiece(0.01, [{ ...untold, unseen: true }]).band).toBe('not-inspected');
    // What was seen and weighs nothing either way was looked at, and counts as a group.
    expect(judgePiece(0.01, [untold])).toMatchObject({ band: 'not-proven', physicalGroups: 1 });
  });

  test('is consistent only under 5% and with three physical groups seen', () => {
    expect(judgePiece(0.01, fine(2)).band).toBe('not-proven');
    expect(judgePiece(0.01, fine(3)).band).toBe('consistent');
    expect(judgePiece(0.5, fine(3)).band).toBe('not-proven');
    const boxes = ['box', 'seal', 'code'].map((id) => item(id, id, 'packaging', 0.3));
    expect(judgePiece(0.01, boxes).band).toBe('not-proven');
  });

  test('turns at 5% and at 50% exactly', () => {
    const at = (chance: number) => chance / (1 - chance);
    const prior = (target: number) => at(target) / 0.064 / (1 + at(target) / 0.064);
    expect(judgePiece(prior(0.0499), fine(3)).band).toBe('consistent');
    expect(judgePiece(prior(0.0501), fine(3)).band).toBe('not-proven');
    const differs = [item('weld', 'weld', 'physical', 4)];
    expect(judgePiece(0.2, differs).chance).toBeCloseTo(0.5, 12);
    expect(judgePiece(0.2001, differs).band).toBe('suspect');
    expect(judgePiece(0.199, differs).band).toBe('not-proven');
  });

  test('an odd box alone makes no piece suspect, however high the chance; one physical difference does', () => {
    const oddBox = [item('box', 'box', 'packaging', 20), item('seal', 'seal', 'packaging', 20)];
    expect(judgePiece(0.12, oddBox).chance).toBeGreaterThan(0.95);
    expect(judgePiece(0.12, oddBox).band).toBe('not-proven');
    expect(judgePiece(0.12, [...oddBox, item('weld', 'weld', 'physical', 1.5)]).band).toBe('suspect');
  });
});

describe('the band of a batch', () => {
  test('is suspect if any piece is, even beside consistent ones', () => {
    expect(judgeBatch(['consistent', 'consistent', 'suspect'], 4)).toBe('suspect');
  });
  test('is consistent when two, and the square root of the batch, were looked at and are', () => {
    expect([1, 2, 4, 5, 9, 10, 50].map(piecesToInspect)).toEqual([1, 2, 2, 3, 3, 4, 8]);
    expect(judgeBatch(['consistent', 'consistent'], 4)).toBe('consistent');
    expect(judgeBatch(['consistent', 'consistent'], 5)).toBe('not-proven');
    expect(judgeBatch(['consistent', 'not-proven'], 4)).toBe('not-proven');
    expect(judgeBatch(['consistent', 'not-inspected'], 9)).toBe('not-proven');
    expect(judgeBatch(['not-inspected'], 4)).toBe('not-inspected');
  });
});
