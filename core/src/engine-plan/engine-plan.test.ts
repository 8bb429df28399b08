import { describe, expect, test } from '@jest/globals';
import { areNeighbours, capTowers, wasteSparkPairs, type EnginePlan } from './engine-plan.ts';

const SIX: EnginePlan = {
  banks: [
    { label: 'left bank', cylinders: [1, 3, 5] },
    { label: 'right bank', cylinders: [2, 4, 6] },
  ],
  firingOrder: [1, 2, 3, 4, 5, 6],
};

describe('cylinders that share a waste spark', () => {
  test('are half the firing order apart, whatever they are called', () => {
    expect(wasteSparkPairs([1, 3, 4, 2])).toEqual([
      [1, 4],
      [3, 2],
    ]);
    expect(wasteSparkPairs(SIX.firingOrder)).toEqual([
      [1, 4],
      [2, 5],
      [3, 6],
    ]);
    expect(wasteSparkPairs([1, 2])).toEqual([[1, 2]]);
  });
  test('cannot be told of an odd number of cylinders', () => {
    expect(() => wasteSparkPairs([1, 2, 4, 5, 3])).toThrow(RangeError);
  });
});

describe('neighbours', () => {
  test.each([
    [1, 3, true],
    [3, 1, true],
    [1, 5, false],
    [1, 2, false],
    [5, 2, false],
    [1, 1, false],
    [1, 7, false],
    [7, 8, false],
  ])('%i and %i stand side by side in one bank: %s', (one, other, are) => {
    expect(areNeighbours(SIX, one, other)).toBe(are);
  });
});

describe('the towers of a cap', () => {
  const four = (rotation: EnginePlan['rotation'], indexDeg: number) =>
    capTowers({ banks: [], firingOrder: [1, 3, 4, 2], rotation }, indexDeg).map(
      ({ cylinder, angleDeg }) => `${cylinder} at ${angleDeg}°`,
    );
  test('stand in the firing order, the way the rotor turns', () => {
    expect(four('clockwise', 30)).toEqual(['1 at 30°', '3 at 120°', '4 at 210°', '2 at 300°']);
    expect(four('anticlockwise', 30)).toEqual(['1 at 30°', '3 at 300°', '4 at 210°', '2 at 120°']);
  });
  test('are told within one turn, whatever the first stands at', () => {
    expect(four('clockwise', 350)).toEqual(['1 at 350°', '3 at 80°', '4 at 170°', '2 at 260°']);
    expect(four('anticlockwise', -10)[0]).toBe('1 at 350°');
  });
  test('turn clockwise where nobody said', () => {
    expect(four(undefined, 0)).toEqual(four('clockwise', 0));
  });
});
