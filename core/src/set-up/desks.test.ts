import { describe, expect, test } from '@jest/globals';
import { gaugeAdvice } from '../gap/gauge-advice.ts';
import { bladeOf, engraved, ownedBlade, thicknessMm, USUAL_BLADES, USUAL_THOU_BLADES } from '../gap/blade-sets.ts';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { estimateSpark, TIGHT } from '../spark-demand/margin.ts';
import type { Duty } from '../duty/duty.ts';
import { gapThroughLife, kvToHold, sparkDesk } from './spark-desk.ts';
import { marginOutAt, wearDesk } from './wear-desk.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { SUPERCHARGED_FIVE as FIVE } from '../testing/supercharged-five.ts';

const PLUG = { 'plug.centreMaterial': 'iridium', 'plug.groundMaterial': 'platinum', 'plug.lifeKm': 60_000 };
const at = (duty: Duty = {}, facts: object = {}, plug: object = {}, rules: Partial<HouseRules> = {}) => ({
  onPaper: sheetOf({ ...FIVE, ...facts }),
  plug: sheetOf({ ...PLUG, ...plug }),
  duty,
  rules: { ...DEFAULT_HOUSE_RULES, ...rules },
});
const ready = (...given: Parameters<typeof at>) => {
  const desk = sparkDesk(at(...given));
  if (desk.kind !== 'ready') throw new Error('not ready');
  return desk;
};
const percent = (margin: number) => Math.round(margin * 100);

describe('the spark desk of one place', () => {
  test('tells the five as built: comfortable as set, and what is asked is the engine maker’s', () => {
    const desk = ready();
    expect([desk.makers, desk.asked]).toEqual([FIVE['position.gapMm'], FIVE['position.gapMm']]);
    const { asSet } = gapThroughLife(desk, 0.7);
    expect(asSet.kind === 'estimated' && percent(asSet.lowest.margin)).toBe(46);
  });

  test.each([
    [0.65, 34, 5],
    [0.6, 39, 11],
    [0.55, 43, 16],
  ])('on a smaller pulley %d mm keeps %d%% as set and %d%% when its interval is run', (gapMm, asSet, atEnd) => {
    const through = gapThroughLife(ready({ boostKpa: 110 }), gapMm);
    if (through.asSet.kind !== 'estimated' || through.atEnd.kind !== 'estimated') throw new Error('outside');
    expect([percent(through.asSet.lowest.margin), percent(through.atEnd.lowest.margin)]).toEqual([asSet, atEnd]);
  });

  test('tells both schools whatever the shop goes by, and asks what its rule asks', () => {
    const stock = ready({ boostKpa: 110 });
    expect(stock.asked).toEqual({ low: 0.6, high: 0.7 });
    expect(stock.byMargin).toMatchObject({ kind: 'range', range: { low: 0.5, high: 0.55 } });
    expect(ready({ boostKpa: 110 }, {}, {}, { gapForDuty: 'margin' }).asked).toEqual({ low: 0.5, high: 0.55 });
  });

  test('a coil that gives what it would take holds the gap, and one a little weaker does not', () => {
    const desk = ready({ boostKpa: 110 });
    const { kv } = kvToHold(desk, 0.65);
    const holds = (ratedKv: number) => {
      // Energy to spare, so that the rated voltage alone decides.
      const strong = ready({ boostKpa: 110 }, { 'coil.inductanceMh': 12, 'coil.peakA': 12, 'coil.ratedKv': ratedKv });
      const { asSet, atEnd } = gapThroughLife(strong, 0.65);
      return (
        asSet.kind === 'estimated' &&
        atEnd.kind === 'estimated' &&
        asSet.lowest.margin >= 0.3 &&
        atEnd.lowest.margin >= TIGHT
      );
    };
    expect([holds(kv + 0.5), holds(kv - 0.5)]).toEqual([true, false]);
  });

  test('is not estimated without a gap or a coil’s figure, and says which', () => {
    expect(sparkDesk(at({}, { 'position.gapMm': undefined }))).toMatchObject({ missing: ['position.gapMm'] });
    expect(sparkDesk(at({}, { 'coil.peakA': undefined }))).toMatchObject({ missing: ['coil.peakA'] });
  });
});

describe('the wear desk of one place', () => {
  const desk = (...given: Parameters<typeof at>) => wearDesk({ ...at(...given), spark: sparkDesk(at(...given)) });

  test('wears as forced induction does, twice as fast where it was modified', () => {
    expect(desk().perTenThousandKmMm).toBeCloseTo(0.0225, 9);
    expect(desk({ boostKpa: 110 }).perTenThousandKmMm).toBeCloseTo(0.045, 9);
  });

  test('tells every school’s interval, and marks the one the shop goes by', () => {
    const schools = desk({}, {}, { 'plug.lifeKm': 100_000 }, { interval: 'cautious' }).schools;
    expect(schools.map(({ agreed, isChosen }) => [agreed.value, isChosen])).toEqual([
      [60_000, false],
      [100_000, false],
      [40_000, true],
    ]);
  });

  test('the gap at which the reserve runs out is the first that keeps less than 15% worn', () => {
    const spark = ready({ boostKpa: 110 });
    const out = marginOutAt(spark, 0.6)!;
    const margin = (gapMm: number) => {
      const estimate = estimateSpark(spark.setting, { ...spark.plug, gapMm, lifeUsed: 1 });
      return estimate.kind === 'estimated' ? estimate.lowest.margin : Number.NaN;
    };
    expect(margin(out)).toBeLessThan(TIGHT);
    expect(margin(out - 0.01)).toBeGreaterThanOrEqual(TIGHT - 0.003);
    expect(marginOutAt(sparkDesk(at({}, { 'coil.peakA': undefined })), 0.6)).toBeUndefined();
  });

  test('what stands is counted in hours, a plug’s life with it', () => {
    const standing = desk({}, { 'position.intervalKm': undefined, 'position.intervalHours': 800 });
    expect(standing).toMatchObject({ countedIn: 'hours', statedLife: 1200 });
    expect(standing.schools[0]!.agreed.value).toBe(800);
  });

  test('where nobody says what it is made of, no wear is reckoned', () => {
    expect(desk({}, {}, { 'plug.centreMaterial': undefined }).perTenThousandKmMm).toBeUndefined();
  });
});

describe('blades and what is gauged with them', () => {
  test('a blade is known by what is engraved on it, the metric one where both are as thick', () => {
    expect(engraved({ size: 0.05, unit: 'mm' })).toBe('0.05 mm');
    expect(engraved({ size: 28, unit: 'thou' })).toBe('28 thou');
    expect(thicknessMm({ size: 28, unit: 'thou' })).toBeCloseTo(0.7112, 9);
    const both = [
      { size: 10, unit: 'thou' },
      { size: 0.254, unit: 'mm' },
    ] as const;
    expect(bladeOf(both, 0.254)).toEqual({ size: 0.254, unit: 'mm' });
    expect(bladeOf(both, 0.3)).toBeUndefined();
  });

  test('no blade is as thick as a hand, and the usual sets are sets of blades', () => {
    for (const odd of [
      { size: 28, unit: 'mm' },
      { size: 0.7, unit: 'thou' },
      { size: 0.005, unit: 'mm' },
    ])
      expect(ownedBlade.safeParse(odd).success).toBe(false);
    for (const blade of [...USUAL_BLADES, ...USUAL_THOU_BLADES]) expect(ownedBlade.safeParse(blade).success).toBe(true);
  });

  test('a fine wire never meets a ramp gauge, and several grounds are left as made', () => {
    const advice = (facts: object) => gaugeAdvice(sheetOf(facts)).join(' ');
    expect(advice(PLUG)).toMatch(/never a ramp gauge; the centre tip is never levered/);
    expect(advice({ 'plug.centreMaterial': 'nickel', 'plug.groundMaterial': 'nickel' })).toMatch(
      /may read it and never levers/,
    );
    // One precious pad is enough, and so is not knowing.
    expect(advice({ 'plug.centreMaterial': 'nickel', 'plug.groundMaterial': 'platinum' })).toMatch(/never a ramp/);
    expect(advice({})).toMatch(/never a ramp/);
    expect(advice({ ...PLUG, 'plug.groundCount': 2 })).toBe('Several grounds: the gap stays as it was made.');
    expect(advice({ ...PLUG, 'plug.groundForm': 'surface' })).toMatch(/surface gap/);
  });
});
