import { describe, expect, test } from '@jest/globals';
import { bladeOf, engraved, ownedBlade, thicknessMm, USUAL_BLADES, USUAL_THOU_BLADES } from './blade-sets.ts';

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
