import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { gapMove, moveToMiddle } from './gap-move.ts';

describe('a gap and what is done with it', () => {
  const range = { low: 1.05, high: 1.15 };
  test('is left where it lies inside, opened or closed to the middle where it does not', () => {
    expect(gapMove(1.1, range, 0.2)).toEqual({ kind: 'none' });
    expect(gapMove(0.95, range, 0.2)).toMatchObject({ kind: 'set', setToMm: 1.1, changeMm: 0.15 });
    expect(gapMove(1.2, range, 0.2)).toMatchObject({ kind: 'set', setToMm: 1.1, changeMm: -0.1 });
  });

  test('is set to the nearest point inside where the middle is past what may be changed, and else goes back', () => {
    expect(gapMove(1.3, range, 0.18)).toMatchObject({ kind: 'set', setToMm: 1.12, usesShare: 1 });
    expect(gapMove(1.4, range, 0.2)).toMatchObject({ kind: 'past-limit', nearestMm: 1.2 });
    expect(gapMove(1.4, range, null)).toEqual({ kind: 'not-adjustable' });
  });

  test('is told with the share of what may be changed, and no more than that is moved', () => {
    expect(gapMove(0.9, range, 0.25)).toMatchObject({ setToMm: 1.1, changeMm: 0.2, usesShare: expect.closeTo(0.8, 6) });
    expect(gapMove(0.9, range, 0.16)).toMatchObject({ kind: 'set', setToMm: 1.06, changeMm: 0.16, usesShare: 1 });
    expect(gapMove(0.9, range, 0.1)).toEqual({ kind: 'past-limit', nearestMm: 1, changeMm: 0.1 });
    expect(gapMove(1.4, range, 0.3)).toMatchObject({ kind: 'set', setToMm: 1.1, changeMm: -0.3, usesShare: 1 });
    expect(gapMove(0.9, range, 0)).toEqual({ kind: 'past-limit', nearestMm: 0.9, changeMm: 0 });
    expect(moveToMiddle(1.1, range, 0)).toEqual({ kind: 'set', setToMm: 1.1, changeMm: 0, usesShare: 1 });
  });

  test('never ends outside its range, nor moves further than it may', () => {
    const mm = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(mm(0.3, 1.8), mm(0.4, 1.3), mm(0.02, 0.2), mm(0, 0.4), (gapMm, low, width, limitMm) => {
        const asked = { low, high: low + width };
        const move = gapMove(gapMm, asked, limitMm);
        if (move.kind !== 'set') return;
        expect(Math.abs(move.changeMm)).toBeLessThanOrEqual(limitMm + 1e-6);
        expect(move.setToMm).toBeGreaterThanOrEqual(asked.low - 1e-6);
        expect(move.setToMm).toBeLessThanOrEqual(asked.high + 1e-6);
      }),
    );
  });
});
