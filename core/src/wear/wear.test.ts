import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { grownMm, kmUntil, measuredGrowth, usualGrowthMm } from './growth.ts';
import { estimateRun, lifeEnds, type RunningPlug } from './remaining-life.ts';

describe('how a gap grows', () => {
  test.each([
    ['nickel', false, 1, 0.1],
    ['silver', false, 1, 0.06],
    ['platinum', false, 1, 0.03],
    ['iridium', false, 1, 0.015],
    ['nickel', true, 1, 0.15],
    // The five on a smaller pulley: its own supercharger, and modified besides.
    ['iridium', true, 2, 0.045],
  ] as const)('%s, forced %s, duty × %d: %d mm for 10 000 km', (material, isForced, dutyFactor, mm) => {
    expect(usualGrowthMm({ material, isForced, dutyFactor })).toBeCloseTo(mm, 9);
  });

  test('is measured between two readings; one set or knocked meanwhile tells nothing of wear', () => {
    expect(measuredGrowth({ km: 0, gapMm: 0.8 }, { km: 20_000, gapMm: 1 })).toEqual({
      kind: 'rate',
      perTenThousandKmMm: expect.closeTo(0.1, 9),
    });
    expect(measuredGrowth({ km: 5000, gapMm: 0.8 }, { km: 5000, gapMm: 0.9 }).kind).toBe('no-distance');
    expect(measuredGrowth({ km: 0, gapMm: 0.8 }, { km: 20_000, gapMm: 0.7 }).kind).toBe('closed');
  });

  test('and back: after the distance until a gap it stands at that gap', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(mm(0.3, 1), mm(0.01, 0.6), mm(0.005, 0.3), (gap, more, rate) => {
        expect(gap + grownMm(kmUntil(gap, gap + more, rate), rate)).toBeCloseTo(gap + more, 6);
      }),
    );
  });
});

describe('what is left of a set', () => {
  const nickel: RunningPlug = {
    gapMm: 0.9,
    ranKm: 10_000,
    perTenThousandKmMm: 0.1,
    wornAtMm: 1.05,
    statedLifeKm: 30_000,
    intervalKm: 20_000,
  };
  test('the earliest end decides, and says which it is', () => {
    expect(lifeEnds(nickel).map(({ by, leftKm }) => [by, Math.round(leftKm)])).toEqual([
      ['interval', 10_000],
      ['gap', 15_000],
      ['life', 20_000],
    ]);
    expect(lifeEnds({ ...nickel, marginOutAtMm: 0.95 })[0]).toEqual({
      by: 'margin',
      leftKm: expect.closeTo(5000, 6),
    });
  });
  test('what is past its end is due now, not owed a distance', () => {
    expect(lifeEnds({ ...nickel, gapMm: 1.2 })[0]).toEqual({ by: 'gap', leftKm: 0 });
    expect(lifeEnds({ ...nickel, ranKm: 40_000 }).slice(0, 2)).toEqual([
      { by: 'life', leftKm: 0 },
      { by: 'interval', leftKm: 0 },
    ]);
  });
  test('distances of a set whose run nobody knows are not reckoned: only its gap speaks', () => {
    expect(lifeEnds({ ...nickel, ranKm: undefined }).map(({ by }) => by)).toEqual(['gap']);
  });
});

describe('a set of unknown history', () => {
  test('is due now, unless the gap it was delivered with is known, and then it is an estimate', () => {
    expect(estimateRun(undefined, 0.9, 0.1)).toEqual({ kind: 'due-now', because: 'no-delivered-gap' });
    expect(estimateRun(0.8, 0.9, 0.1)).toEqual({ kind: 'estimated', ranKm: expect.closeTo(10_000, 6) });
  });
  test('is due now where its gap is closer than delivered: somebody set it', () => {
    expect(estimateRun(0.8, 0.75, 0.1)).toEqual({ kind: 'due-now', because: 'closed-since' });
  });
});
