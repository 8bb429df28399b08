import { describe, expect, test } from '@jest/globals';
import { fromNearestEnd, inside, within } from './tolerance.ts';

describe('within a tolerance', () => {
  test.each([
    [0.3, 0.3, true],
    [19.3 - 19, 0.3, true],
    [0.3000005, 0.3, true],
    [0.30001, 0.3, false],
    [-5, 0, true],
  ])('a difference of %d is within %d: %s', (difference, limit, is) => {
    expect(within(difference, limit)).toBe(is);
  });
  test.each([
    [1, true],
    [1.1, true],
    [0.99, false],
    [1.11, false],
  ])('%d lies inside 1.0 to 1.1: %s', (value, is) => {
    expect(inside(value, { low: 1, high: 1.1 })).toBe(is);
  });
  test('the distance from a range is told from its nearer end, with its sign', () => {
    const of = (value: number) => fromNearestEnd(value, { low: 1, high: 1.1 });
    expect([of(0.9), of(1), of(1.05), of(1.1), of(1.3)]).toEqual([-0.1, 0, 0, 0, 0.2]);
  });
});
