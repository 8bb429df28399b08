import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { feelerStack, goNoGo } from './feeler-stack.ts';
import { runs } from '../testing/runs.ts';

const METRIC = [0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 1];

describe('feelers', () => {
  test('are the fewest blades that make the gap: one where there is one, then two, thicker ones first', () => {
    expect(feelerStack(METRIC, 0.85)).toEqual({ kind: 'hit', stack: { bladesMm: [0.85], sumMm: 0.85, errorMm: 0 } });
    expect(feelerStack(METRIC, 1.1)).toMatchObject({ kind: 'hit', stack: { bladesMm: [1, 0.1], sumMm: 1.1 } });
    // 0.01 mm off with one blade goes before exact with two.
    expect(feelerStack([0.8, 0.5, 0.29], 0.79)).toMatchObject({ stack: { bladesMm: [0.8], errorMm: 0.01 } });
  });

  test('that cannot make it give the nearest on either side, and none where there is none', () => {
    expect(feelerStack([0.3, 0.5], 0.6)).toMatchObject({
      kind: 'near',
      below: { bladesMm: [0.5], errorMm: -0.1 },
      above: { bladesMm: [0.5, 0.3], errorMm: 0.2 },
    });
    expect(feelerStack([], 0.6)).toEqual({ kind: 'near', below: null, above: null });
    // Four would do it; three is the most.
    expect(feelerStack([0.1, 0.11, 0.12, 0.13], 0.46).kind).toBe('near');
  });

  test('of inches serve as well: 28 and 31 thou tell a gap between them', () => {
    const thou = (n: number) => n * 0.0254;
    const { go, noGo } = goNoGo([28, 30, 31, 32].map(thou), { low: thou(28), high: thou(30.5) });
    expect([go?.bladesMm, noGo?.bladesMm]).toEqual([[thou(28)], [thou(31)]]);
  });

  test('go and no-go lie past their ends by 0.02 mm at most; a no-go of the very end is none', () => {
    const pair = goNoGo(METRIC, { low: 1.05, high: 1.15 });
    expect([pair.go?.sumMm, pair.noGo]).toEqual([1.05, null]);
    expect(goNoGo([...METRIC, 0.17], { low: 1.05, high: 1.15 }).noGo).toMatchObject({ sumMm: 1.17 });
  });
});

describe('whatever blades are owned', () => {
  /** Every way of laying up to three of them together, without any of the desk's own thought. */
  const everyStack = (bladesMm: readonly number[]): number[][] =>
    Array.from({ length: 2 ** bladesMm.length }, (_, mask) => bladesMm.filter((_, i) => (mask >> i) & 1)).filter(
      ({ length }) => length > 0 && length <= 3,
    );
  const sumOf = (stack: readonly number[]) => stack.reduce((sum, mm) => sum + mm, 0);
  const blades = fc.uniqueArray(
    fc.integer({ min: 2, max: 100 }).map((hundredths) => hundredths / 100),
    { minLength: 1, maxLength: 9 },
  );
  const target = fc.integer({ min: 30, max: 140 }).map((hundredths) => hundredths / 100);

  test('the stack told is the fewest that make it, then the nearest, then the thickest', () => {
    fc.assert(
      fc.property(blades, target, (owned, gapMm) => {
        const off = (stack: readonly number[]) => Math.round(Math.abs(sumOf(stack) - gapMm) * 1e6) / 1e6;
        const hits = everyStack(owned).filter((stack) => off(stack) <= 0.01);
        const answer = feelerStack(owned, gapMm);
        if (hits.length === 0) {
          expect(answer.kind).toBe('near');
          if (answer.kind !== 'near') return;
          const sums = everyStack(owned).map(sumOf);
          const below = sums.filter((mm) => mm < gapMm);
          const above = sums.filter((mm) => mm > gapMm);
          expect(answer.below?.sumMm ?? null).toEqual(below.length > 0 ? expect.closeTo(Math.max(...below), 6) : null);
          expect(answer.above?.sumMm ?? null).toEqual(above.length > 0 ? expect.closeTo(Math.min(...above), 6) : null);
          return;
        }
        const fewest = Math.min(...hits.map(({ length }) => length));
        const nearest = Math.min(...hits.filter(({ length }) => length === fewest).map(off));
        const thickest = Math.max(
          ...hits
            .filter((stack) => stack.length === fewest && off(stack) === nearest)
            .map((stack) => Math.max(...stack)),
        );
        expect(answer.kind).toBe('hit');
        if (answer.kind !== 'hit') return;
        expect(answer.stack.bladesMm.length).toBe(fewest);
        expect(off(answer.stack.bladesMm)).toBe(nearest);
        expect(answer.stack.bladesMm[0]).toBe(thickest);
      }),
      { numRuns: runs(400) },
    );
  });

  test('the go of a pair lies in the range’s first two hundredths, the no-go in the two past its end, each of the fewest blades', () => {
    fc.assert(
      fc.property(blades, target, fc.integer({ min: 2, max: 20 }), (owned, low, width) => {
        const high = low + width / 100;
        const least = (from: number, to: number, open: boolean) => {
          const sums = everyStack(owned).filter((stack) => {
            const mm = sumOf(stack);
            return (open ? mm > from + 1e-9 : mm >= from - 1e-9) && mm <= to + 1e-9;
          });
          return sums.length === 0 ? undefined : Math.min(...sums.map(({ length }) => length));
        };
        const { go, noGo } = goNoGo(owned, { low, high });
        expect(go?.bladesMm.length).toBe(least(low, low + 0.02, false));
        expect(noGo?.bladesMm.length).toBe(least(high, high + 0.02, true));
      }),
      { numRuns: runs(400) },
    );
  });
});
