import { describe, expect, test } from '@jest/globals';
import { gaugeAdvice } from './gauge-advice.ts';
import { sheetOf } from '../testing/sheet-of.ts';

describe('what a firing end is gauged with', () => {
  const nickel = {
    'plug.groundCount': 1,
    'plug.groundForm': 'over',
    'plug.centreMaterial': 'nickel',
    'plug.groundMaterial': 'nickel',
  };
  const first = (facts: object) => gaugeAdvice(sheetOf(facts))[0];
  test('is a wire or blade of nickel, which a ramp may read', () => {
    expect(first(nickel)).toBe('Wire or blade; a ramp gauge may read it and never levers.');
    expect(gaugeAdvice(sheetOf(nickel))).toHaveLength(3);
  });
  test.each([
    ['one precious tip', { 'plug.centreMaterial': 'iridium' }],
    ['a precious pad on its ground', { 'plug.groundMaterial': 'platinum' }],
    ['a material nobody knows', { 'plug.centreMaterial': undefined }],
  ])('is never a ramp with %s', (_, more) => {
    expect(first({ ...nickel, ...more })).toBe(
      'Wire or blade only, never a ramp gauge; the centre tip is never levered on.',
    );
  });
  test('is nothing where the gap stays as it was made: several grounds, or a surface', () => {
    expect(gaugeAdvice(sheetOf({ ...nickel, 'plug.groundCount': 2 }))).toEqual([
      'Several grounds: the gap stays as it was made.',
    ]);
    expect(gaugeAdvice(sheetOf({ ...nickel, 'plug.groundForm': 'surface' }))).toEqual([
      'A surface gap: it stays as it was made.',
    ]);
  });
  test('counts a ground that nobody counted as one', () => {
    expect(first({ ...nickel, 'plug.groundCount': undefined })).toBe(first(nickel));
  });
});
