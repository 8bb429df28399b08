import { describe, expect, test } from '@jest/globals';
import { boxSpread } from './box-spread.ts';

describe('the spread of a box', () => {
  test('sets one knocked plug aside in a box of four, and not in one of three', () => {
    expect(boxSpread([1, 1.02, 1.03, 0.7], 0.1)).toEqual({ low: 1, high: 1.03, setAside: 0.7 });
    expect(boxSpread([1, 1.02, 1.03, 1.4], 0.1)).toEqual({ low: 1, high: 1.03, setAside: 1.4 });
    expect(boxSpread([1, 1.02, 0.7], 0.1)).toEqual({ low: 0.7, high: 1.02, setAside: null });
  });
  test('sets nothing aside where two stand off, or where none does', () => {
    expect(boxSpread([1, 1.02, 0.7, 1.4], 0.1)).toEqual({ low: 0.7, high: 1.4, setAside: null });
    expect(boxSpread([1, 1.02, 1.05, 1.1], 0.1)).toEqual({ low: 1, high: 1.1, setAside: null });
  });
  test('sets aside the one farther off where either would do, and the wide one where they stand alike', () => {
    expect(boxSpread([1, 1.1, 1.1, 1.15], 0.1)!.setAside).toBe(1);
    expect(boxSpread([1, 1.05, 1.06, 1.14], 0.1)).toEqual({ low: 1, high: 1.06, setAside: 1.14 });
    expect(boxSpread([1, 1.0625, 1.0625, 1.125], 0.1)).toEqual({ low: 1, high: 1.0625, setAside: 1.125 });
  });
  test('reaches to the very figure that is allowed', () => {
    expect(boxSpread([1, 1.125], 0.125)!.setAside).toBeNull();
    expect(boxSpread([1, 1.5, 1.5, 1.625], 0.125)).toEqual({ low: 1.5, high: 1.625, setAside: 1 });
  });
  test('is not told of one plug', () => {
    expect(boxSpread([1], 0.1)).toBeUndefined();
  });
});
