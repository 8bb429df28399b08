import { describe, expect, test } from '@jest/globals';
import { oddOneOut } from './odd-one-out.ts';

const set = (...parts: (string | undefined)[]) => parts.map((part, i) => ({ label: String(i + 1), part }));

describe('the odd one of a fitted set', () => {
  test('is the one of six that differs', () => {
    expect(oddOneOut(set('A', 'A', 'B', 'A', 'A', 'A'))).toEqual({ usual: 'A', odd: ['3'], missing: [] });
  });
  test('is none in a set of one kind, and what was not looked at is named', () => {
    expect(oddOneOut(set('A', undefined, 'A'))).toEqual({ usual: 'A', odd: [], missing: ['2'] });
  });
  test('cannot be told of two and two: all four are odd', () => {
    expect(oddOneOut(set('A', 'B', 'A', 'B'))).toEqual({ usual: undefined, odd: ['1', '2', '3', '4'], missing: [] });
  });
  test('is unknown while nothing is entered', () => {
    expect(oddOneOut(set(undefined, undefined))).toEqual({ usual: undefined, odd: [], missing: ['1', '2'] });
  });
});
