import { describe, expect, test } from '@jest/globals';
import { bladeOf, engraved, ownedBlade, thicknessMm, USUAL_BLADES, USUAL_THOU_BLADES } from './blade-sets.ts';
import { commonRange } from './common-range.ts';
import { gaugeAdvice } from './gauge-advice.ts';
import { sheetOf } from '../testing/sheet-of.ts';

const mm = (size: number) => ({ size, unit: 'mm' as const });
const thou = (size: number) => ({ size, unit: 'thou' as const });

describe('a feeler blade', () => {
  test.each([mm(0.01), mm(2.2), thou(1), thou(86)])('of %j is one', (blade) => {
    expect(ownedBlade.safeParse(blade).success).toBe(true);
  });
  test.each([
    ['thinner than any', mm(0.009)],
    ['thirty-five millimetres thick, which is thousandths by mistake', mm(35)],
    ['a shade too thick', mm(2.21)],
    ['half a thousandth, which is millimetres by mistake', thou(0.5)],
    ['eighty-seven thousandths', thou(87)],
    ['of nothing', mm(0)],
    ['in a unit no blade is engraved in', { size: 1, unit: 'cm' }],
    ['a hundred and one', { size: 101, unit: 'thou' }],
  ])('%s is none', (_, blade) => {
    expect(ownedBlade.safeParse(blade).success).toBe(false);
  });

  test('is as thick as it says, in either unit', () => {
    expect([thicknessMm(mm(0.55)), thicknessMm(thou(25)), thicknessMm(thou(1))]).toEqual([0.55, 0.635, 0.0254]);
  });
  test('is called by what is engraved on it', () => {
    expect([engraved(mm(0.5)), engraved(mm(0.05)), engraved(thou(25)), engraved(thou(1.5))]).toEqual([
      '0.50 mm',
      '0.05 mm',
      '25 thou',
      '1.5 thou',
    ]);
  });

  test('is found in a set by how thick it is, the metric one where both are', () => {
    const set = [thou(100), thou(25), mm(0.635), mm(0.6)];
    expect(bladeOf(set, 0.635)).toEqual(mm(0.635));
    expect(bladeOf([thou(25), mm(0.6)], 0.635)).toEqual(thou(25));
    expect(bladeOf(set, 0.634)).toBeUndefined();
    expect(bladeOf([], 0.6)).toBeUndefined();
    expect(set[0]).toEqual(thou(100));
  });
});

describe('the usual sets', () => {
  test('in millimetres goes from 0.05 to 1.00 by 0.05: twenty blades', () => {
    expect(USUAL_BLADES).toHaveLength(20);
    expect([USUAL_BLADES[0], USUAL_BLADES[1], USUAL_BLADES.at(-1)]).toEqual([mm(0.05), mm(0.1), mm(1)]);
  });
  test('in thousandths goes from 2 to 25 one by one, then 28, 32 and 35', () => {
    expect(USUAL_THOU_BLADES.map(({ size }) => size)).toEqual([
      ...Array.from({ length: 24 }, (_, i) => i + 2),
      28,
      32,
      35,
    ]);
    expect(new Set(USUAL_THOU_BLADES.map(({ unit }) => unit))).toEqual(new Set(['thou']));
  });
  test('hold blades that there are', () => {
    for (const blade of [...USUAL_BLADES, ...USUAL_THOU_BLADES]) expect(ownedBlade.safeParse(blade).success).toBe(true);
  });
});

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
