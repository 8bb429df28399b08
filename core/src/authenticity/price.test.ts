import { describe, expect, test } from '@jest/globals';
import { LEAST_PRICES, median, readPrice } from './price.ts';

describe('a price', () => {
  test('is not judged by fewer than five', () => {
    expect(readPrice(1, [100, 100, 100, 100])).toEqual({
      kind: 'too-few-prices',
      medianMinor: null,
      below: null,
      robustZ: null,
    });
    expect(
      readPrice(
        1,
        Array.from({ length: LEAST_PRICES }, () => 100),
      ).kind,
    ).toBe('far-below');
  });
  test('is held to the middle one, which an odd one does not move', () => {
    expect([median([3, 1, 2]), median([4, 1, 2, 3]), median([100, 102, 98, 101, 5000])]).toEqual([2, 2.5, 101]);
  });
  test('that never moved may lie a fifth below before it counts', () => {
    const usual = [1000, 1000, 1000, 1000, 1000];
    expect(readPrice(800, usual)).toEqual({
      kind: 'far-below',
      medianMinor: 1000,
      below: expect.closeTo(0.2, 9),
      robustZ: -20,
    });
    expect(readPrice(801, usual).kind).toBe('usual');
    expect(readPrice(2000, usual)).toMatchObject({ kind: 'usual', below: -1 });
  });
  test('that moves much is not far below at a fifth: it must also stand out', () => {
    const scattered = [600, 800, 1000, 1200, 1400];
    expect(readPrice(750, scattered)).toMatchObject({ kind: 'usual', below: 0.25 });
    // Its median deviation is 200, times 1.4826.
    expect(readPrice(0, scattered).robustZ).toBeCloseTo(-1000 / 296.52, 6);
  });
});
