import { describe, expect, test } from '@jest/globals';
import { commonRange } from './common-range.ts';

describe('the range that several places have in common', () => {
  test.each([
    ['of one is its own', [[0.7, 0.8]], { low: 0.7, high: 0.8 }],
    [
      'of two that overlap is where they do',
      [
        [0.7, 0.8],
        [0.75, 0.9],
      ],
      { low: 0.75, high: 0.8 },
    ],
    [
      'of two that touch is that one gap',
      [
        [0.7, 0.8],
        [0.8, 0.9],
      ],
      { low: 0.8, high: 0.8 },
    ],
    [
      'of two apart is none',
      [
        [0.7, 0.8],
        [0.81, 0.9],
      ],
      undefined,
    ],
    ['of none is none', [], undefined],
  ] as const)('%s', (_, ranges, common) => {
    expect(commonRange(ranges.map(([low, high]) => ({ low, high })))).toEqual(common);
  });
});
