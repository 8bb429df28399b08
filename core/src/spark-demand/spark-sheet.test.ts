import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sweepBoost } from './boost-sweep.ts';
import { endOfInterval, marginRange } from './margin-range.ts';
import { COMFORTABLE, estimateSpark, TIGHT, widestGap } from './margin.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { sparkSheet } from './spark-sheet.ts';
import { runs } from '../testing/runs.ts';

/** A four with a distributor, as its sheets have it. */
const FOUR = {
  'position.compressionRatio': 8.2,
  'position.ratedRpm': 4800,
  'position.aspiration': 'natural',
  'position.fuel': 'petrol',
  'position.polarity': 'forward',
  'position.centreDesign': 'nickel',
  'coil.topology': 'canister',
  'coil.primaryOhm': 0.9,
  'coil.inductanceMh': 7,
  'coil.peakA': 6,
  'coil.ratedKv': 33,
  'job.cylindersCount': 4,
} as const;
const read = (facts: object = {}, duty = {}) => sparkSheet(sheetOf({ ...FOUR, ...facts }), duty);
const ready = (facts: object = {}, duty = {}) => {
  const spark = read(facts, duty);
  if (spark.kind !== 'ready') throw new Error(`missing ${spark.missing.join()}`);
  return spark;
};

describe('what an estimate is reckoned with', () => {
  test('is read from the sheets, each with who says so, and the usual is told as a default', () => {
    const { setting, plug, inputs } = ready();
    expect(setting).toEqual({
      engine: { compressionRatio: 8.2, ratedRpm: 4800, boostKpa: 0, isOnGas: false },
      source: {
        kind: 'inductive',
        place: 'distributor',
        cylinders: 4,
        primaryOhm: 0.9,
        inductanceMh: 7,
        peakA: 6,
        ratedKv: 33,
      },
      path: 'rotor-gap',
    });
    expect(plug).toEqual({ tip: 'nickel', inReverse: false });
    const said = Object.fromEntries(
      inputs.map(({ label, source }) => [label, source === 'default' ? source : source.name]),
    );
    expect(said).toMatchObject({
      'compression ratio': 'sheet',
      'rated voltage': 'sheet',
      'rod over stroke': 'default',
    });
  });

  test.each([
    'position.compressionRatio',
    'position.ratedRpm',
    'position.polarity',
    'position.centreDesign',
    'coil.topology',
    'coil.primaryOhm',
    'coil.inductanceMh',
    'coil.peakA',
    'coil.ratedKv',
    'job.cylindersCount',
  ] as const)('without %s nothing is estimated, and what is missing is named', (fact) => {
    const spark = read({ [fact]: undefined });
    expect(spark).toMatchObject({ kind: 'not-estimated', missing: [fact] });
  });

  test('a boosted engine whose boost nobody says is not taken for one that breathes by itself', () => {
    expect(read({ 'position.aspiration': 'forced' })).toMatchObject({ missing: ['position.boostKpa'] });
    expect(ready({ 'position.aspiration': 'forced', 'position.boostKpa': 55 }).setting.engine.boostKpa).toBe(55);
    expect(read({ 'position.aspiration': undefined })).toMatchObject({ missing: ['position.boostKpa'] });
  });

  test('the customer’s duty stands over the sheet, and is told as such', () => {
    const { setting, inputs } = ready({}, { boostKpa: 40, isOnGas: true });
    expect(setting.engine).toMatchObject({ boostKpa: 40, isOnGas: true });
    expect(inputs.find(({ label }) => label === 'boost')!.source).toMatchObject({ name: 'Duty on this slip' });
  });

  test.each([
    ['on-plug', 'on-plug', 'direct'],
    ['rail', 'on-plug', 'direct'],
    ['near-plug', 'pack', 'direct'],
    ['waste-spark', 'pack', 'companion-cylinder'],
    ['canister', 'distributor', 'rotor-gap'],
  ] as const)('a coil of the form %s is reckoned as %s, its spark %s', (topology, place, path) => {
    expect(ready({ 'coil.topology': topology }).setting).toMatchObject({ source: { place }, path });
  });

  test('every input is told with its unit, in the order it is reckoned with', () => {
    const told = (facts: object = {}, duty = {}) =>
      Object.fromEntries(ready(facts, duty).inputs.map(({ label, says }) => [label, says]));
    expect(told({ 'position.polarity': 'reverse' })).toEqual({
      'compression ratio': '8.2 : 1',
      'rated speed': '4800 rpm',
      boost: '0 kPa',
      fuel: 'petrol',
      'rod over stroke': '1.75',
      polarity: 'in reverse',
      'designed centre electrode': 'nickel',
      'form of coil': 'canister',
      'primary resistance': '0.9 Ω',
      'primary inductance': '7 mH',
      'peak current': '6 A',
      'rated voltage': '33 kV',
      cylinders: '4',
    });
    expect(told()).toMatchObject({ polarity: 'forward' });
    expect(told({ 'plug.centreMaterial': 'iridium', 'coil.topology': 'on-plug' })).toMatchObject({
      'centre electrode': 'iridium',
      'form of coil': 'on plug',
    });
    expect(told({ 'coil.topology': 'on-plug' })).not.toHaveProperty('cylinders');
    expect(
      told({
        'coil.magnetoKv': [
          { rpm: 300, kv: 21 },
          { rpm: 3600, kv: 24 },
        ],
      }),
    ).toMatchObject({
      'magneto’s voltage by speed': '21 kV at 300 rpm, 24 kV at 3600 rpm',
    });
  });

  test('the fuel is the engine’s, the duty’s where it was changed to gas, and petrol where nobody says', () => {
    const fuel = (facts: object = {}, duty = {}) => {
      const { setting, inputs } = ready(facts, duty);
      const { says, source } = inputs.find(({ label }) => label === 'fuel')!;
      return [says, source === 'default' ? source : source.name, setting.engine.isOnGas];
    };
    expect(fuel()).toEqual(['petrol', 'sheet', false]);
    expect(fuel({ 'position.fuel': 'gas' })).toEqual(['gas', 'sheet', true]);
    expect(fuel({}, { isOnGas: true })).toEqual(['gas', 'Duty on this slip', true]);
    expect(fuel({ 'position.fuel': 'gas' }, { isOnGas: false })).toEqual(['petrol', 'sheet', false]);
    expect(fuel({ 'position.fuel': undefined })).toEqual(['petrol', 'default', false]);
  });

  test('a boost on the sheet is told as the sheet’s, and a plug in reverse is reckoned so', () => {
    const { inputs, plug } = ready({ 'position.boostKpa': 30, 'position.polarity': 'reverse' });
    expect(inputs.find(({ label }) => label === 'boost')).toMatchObject({ says: '30 kPa', source: { name: 'sheet' } });
    expect(plug.inReverse).toBe(true);
    expect(ready().inputs.find(({ label }) => label === 'boost')!.source).toMatchObject({ name: 'sheet' });
  });

  test('a coil of which only part is known is not reckoned with', () => {
    const spark = read({ 'coil.peakA': undefined, 'coil.ratedKv': undefined });
    expect(spark).toMatchObject({ missing: ['coil.peakA', 'coil.ratedKv'] });
  });

  test('a magneto is told by its table and asks for nothing of a coil', () => {
    const table = [
      { rpm: 300, kv: 21 },
      { rpm: 3600, kv: 24 },
    ];
    const { setting } = ready({ 'coil.magnetoKv': table, 'coil.ratedKv': undefined, 'coil.inductanceMh': undefined });
    expect(setting).toMatchObject({ source: { kind: 'magneto', kvAtRpm: table }, path: 'direct' });
  });

  test('the plug in hand counts before what the engine was designed for', () => {
    expect(ready({ 'plug.centreMaterial': 'iridium' }).plug.tip).toBe('fine-wire');
  });
});

describe('the margin school’s range', () => {
  const settings = fc.record({
    boostKpa: fc.integer({ min: 0, max: 200 }),
    ratedKv: fc.integer({ min: 22, max: 42 }),
    growthMm: fc.integer({ min: 0, max: 25 }).map((n) => n / 100),
    lifeUsed: fc.constantFrom(0.3, 0.6, 1),
    low: fc.integer({ min: 55, max: 100 }).map((n) => n / 100),
    width: fc.integer({ min: 5, max: 20 }).map((n) => n / 100),
  });

  test('ends at the widest gap that keeps both, reaches a tenth below, and never under its floor', () => {
    fc.assert(
      fc.property(settings, ({ boostKpa, ratedKv, growthMm, lifeUsed, low, width }) => {
        const { setting, plug } = ready(
          { 'coil.topology': 'on-plug', 'coil.ratedKv': ratedKv, 'coil.inductanceMh': 3 },
          { boostKpa },
        );
        const makers = { low, high: Number((low + width).toFixed(2)) };
        const floor = boostKpa > 0 ? Math.min(low, 0.5) : low;
        const margin = (gapMm: number, used: number) => {
          const estimate = estimateSpark(setting, { ...plug, gapMm, lifeUsed: used });
          return estimate.kind === 'estimated' ? estimate.lowest.margin : Number.NaN;
        };
        const holds = (gapMm: number) => margin(gapMm, 0) >= COMFORTABLE && margin(gapMm + growthMm, lifeUsed) >= TIGHT;
        const answer = marginRange(setting, plug, makers, { growthMm, lifeUsed });
        if (answer.kind === 'none-holds') {
          expect(holds(floor)).toBe(false);
          expect(answer.range).toEqual({ low: floor, high: floor });
          return;
        }
        if (answer.kind !== 'range') throw new Error('estimated');
        const { range } = answer;
        expect(holds(range.high)).toBe(true);
        if (range.high + 0.01 <= makers.high + 1e-9) expect(holds(Number((range.high + 0.01).toFixed(2)))).toBe(false);
        expect(range.high).toBeLessThanOrEqual(makers.high + 1e-9);
        expect(range.low).toBeGreaterThanOrEqual(floor - 1e-9);
        expect(range.high - range.low).toBeLessThanOrEqual(0.1 + 1e-9);
      }),
      { numRuns: runs(60) },
    );
  });

  test('at its interval’s end a plug is as worn as its life is used, and worn where nobody knows its life', () => {
    const wear = { perTenThousandKmMm: 0.015, dutyFactor: 1 };
    expect(endOfInterval(60_000, 100_000, wear)).toEqual({ growthMm: expect.closeTo(0.09, 9), lifeUsed: 0.6 });
    expect(endOfInterval(60_000, 100_000, { ...wear, dutyFactor: 2 })!.lifeUsed).toBe(1);
    expect(endOfInterval(60_000, undefined, wear)!.lifeUsed).toBe(1);
    expect(endOfInterval(undefined, 100_000, wear)).toBeUndefined();
  });
});

describe('the margin school, by hand', () => {
  const end = { growthMm: 0.1, lifeUsed: 0.5 };
  const magneto = (kv: number, upTo = 6000) => ({
    'coil.magnetoKv': [
      { rpm: 300, kv },
      { rpm: upTo, kv },
    ],
  });

  test('with plenty in hand asks for the maker’s widest gap and a tenth below it', () => {
    const { setting, plug } = ready(magneto(90));
    expect(marginRange(setting, plug, { low: 0.6, high: 0.9 }, end)).toMatchObject({
      kind: 'range',
      range: { low: 0.8, high: 0.9 },
    });
    expect(marginRange(setting, plug, { low: 0.85, high: 0.9 }, end)).toMatchObject({
      range: { low: 0.85, high: 0.9 },
    });
  });

  test('may close a boosted engine’s gap to half a millimetre, no other’s', () => {
    const { setting, plug } = ready(magneto(1));
    const at = (boostKpa: number) =>
      marginRange({ ...setting, engine: { ...setting.engine, boostKpa } }, plug, { low: 0.6, high: 0.9 }, end);
    expect(at(0)).toMatchObject({ kind: 'none-holds', range: { low: 0.6, high: 0.6 } });
    expect(at(10)).toMatchObject({ kind: 'none-holds', range: { low: 0.5, high: 0.5 } });
  });

  test('says nothing where the table of a magneto ends before the engine does', () => {
    const { setting, plug } = ready(magneto(30, 2000));
    expect(marginRange(setting, plug, { low: 0.6, high: 0.9 }, end)).toEqual({ kind: 'not-estimated' });
    expect(widestGap(setting, plug, { low: 0.6, high: 0.9 }, end)).toEqual({ kind: 'outside-table' });
    expect(estimateSpark(setting, { ...plug, gapMm: 0.6, lifeUsed: 0 })).toEqual({ kind: 'outside-table' });
  });

  test('a range narrower than a hundredth is asked at its low end, and both its ends can be asked for', () => {
    const { setting, plug } = ready(magneto(90));
    const widest = (low: number, high: number) => widestGap(setting, plug, { low, high }, end);
    expect(widest(0.701, 0.709)).toMatchObject({ gapMm: 0.701 });
    expect(widest(0.7, 0.7)).toMatchObject({ gapMm: 0.7 });
    expect(widest(0.6, 0.7)).toMatchObject({ gapMm: 0.7 });
    const { setting: weak } = ready(magneto(1));
    expect(widestGap(weak, plug, { low: 0.6, high: 0.7 }, end)).toMatchObject({ kind: 'none', narrowestMm: 0.6 });
  });
});

describe('a sweep over boost', () => {
  test('goes in even steps from the first boost to the last, and tells where no gap holds', () => {
    const { setting, plug } = ready({ 'coil.topology': 'on-plug', 'coil.ratedKv': 1 });
    const swept = sweepBoost({
      ...{ setting, plug, gaps: { low: 0.5, high: 0.6 }, end: { growthMm: 0.1, lifeUsed: 1 } },
      ...{ boostKpa: { low: 20, high: 100 }, steps: 4 },
    });
    expect([...swept].map(({ boostKpa, widestMm }) => [boostKpa, widestMm])).toEqual(
      [20, 40, 60, 80, 100].map((boost) => [boost, null]),
    );
  });

  test('tells at each boost what the single sum tells, and never a wider gap at more', () => {
    const { setting, plug } = ready({ 'coil.topology': 'on-plug', 'coil.inductanceMh': 3 });
    const gaps = { low: 0.3, high: 1.6 };
    const end = { growthMm: 0.1, lifeUsed: 1 };
    const swept = [...sweepBoost({ setting, plug, gaps, end, boostKpa: { low: 0, high: 200 }, steps: 10 })];
    expect(swept).toHaveLength(11);
    for (const [i, { boostKpa, widestMm }] of swept.entries()) {
      const at = { ...setting, engine: { ...setting.engine, boostKpa } };
      const single = widestGap(at, plug, gaps, end);
      expect(widestMm).toBe(single.kind === 'gap' ? single.gapMm : null);
      if (i > 0) expect(widestMm ?? 0).toBeLessThanOrEqual(swept[i - 1]!.widestMm ?? 0);
    }
  });
});
