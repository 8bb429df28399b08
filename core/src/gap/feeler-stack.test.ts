import { describe, expect, test } from '@jest/globals';
import { feelerStack, goNoGo } from './feeler-stack.ts';

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
