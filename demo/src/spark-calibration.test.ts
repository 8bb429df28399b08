import { describe, expect, test } from '@jest/globals';
import type { CoilFacts, PlugFacts, PositionFacts } from '@brackenfell/contract/catalogue-file';
import { availableKv, type CoilPlace, type SparkSource } from '@brackenfell/core/spark-demand/available';
import { demandKv, type SparkPath } from '@brackenfell/core/spark-demand/demand';
import { estimateSpark, widestGap, type SparkSetting } from '@brackenfell/core/spark-demand/margin';
import { operatingPoints } from '@brackenfell/core/spark-demand/operating-points';
import { demoWorld } from './world.ts';

const WORN_MM = 0.2;
const PLACES: Readonly<Record<string, readonly [CoilPlace, SparkPath]>> = {
  'on-plug': ['on-plug', 'direct'],
  'waste-spark': ['pack', 'companion-cylinder'],
  canister: ['distributor', 'rotor-gap'],
};

const sameAs = (oe: string): string[] =>
  demoWorld.references.filter(({ from, grade }) => from === oe && grade === 'same').map(({ to }) => to);
const factsOf = (numbers: readonly string[]) =>
  [...demoWorld.plugs, ...demoWorld.parts!].find(({ number }) => numbers.includes(number))!.facts as PlugFacts &
    CoilFacts;

/** Each place of an engine with its own plug and coil, as an estimate is told of them. */
function settingsOf(code: string) {
  const engine = demoWorld.engines.find((one) => one.code === code)!;
  const shared = engine.facts as PositionFacts;
  const cylinders = new Set(engine.positions.map(({ cylinder }) => cylinder)).size;
  const places = [...new Set(engine.positions.map(({ place }) => place ?? 'plug'))];
  return places.map((place) => {
    const own = engine.positions.filter((position) => (position.place ?? 'plug') === place);
    const facts = { ...shared, ...(own[0]!.facts as PositionFacts) };
    const need = engine.needs!.find(
      (one) => one.kind === 'coil' && (places.length === 1 || one.place.startsWith(place)),
    )!;
    const coil = factsOf(sameAs(need.oeNumbers![0]!.number));
    const plug = factsOf(
      engine.oeNumbers.filter((one) => !one.place || one.place === place).flatMap((one) => sameAs(one.number)),
    );
    const [at, path] = PLACES[coil['coil.topology']!] ?? ['on-plug', 'direct'];
    const table = coil['coil.magnetoKv'];
    const source: SparkSource = table
      ? { kind: 'magneto', kvAtRpm: table }
      : {
          kind: 'inductive',
          place: at,
          cylinders,
          primaryOhm: coil['coil.primaryOhm']!,
          inductanceMh: coil['coil.inductanceMh']!,
          peakA: coil['coil.peakA']!,
          ratedKv: coil['coil.ratedKv']!,
        };
    const setting: SparkSetting = {
      engine: {
        compressionRatio: facts['position.compressionRatio']!,
        ratedRpm: facts['position.ratedRpm']!,
        boostKpa: facts['position.boostKpa'] ?? 0,
        isOnGas: facts['position.fuel'] === 'gas',
      },
      source,
      path: table ? 'direct' : path,
    };
    const fitted = {
      tip: plug['plug.centreMaterial'] === 'nickel' ? ('nickel' as const) : ('fine-wire' as const),
      inReverse: own.some(({ facts: f }) => (f as PositionFacts)['position.polarity'] === 'reverse'),
    };
    return { place, setting, fitted, gapMm: facts['position.gapMm']!.high };
  });
}

const lowest = ({ setting, fitted }: ReturnType<typeof settingsOf>[number], gapMm: number, lifeUsed: number) => {
  const estimate = estimateSpark(setting, { ...fitted, gapMm, lifeUsed });
  return estimate.kind === 'estimated' ? Math.round(100 * estimate.lowest.margin) : undefined;
};

describe('every unmodified engine of the world with its own plug and coil', () => {
  test.each([
    ['OW12', [56, 35]],
    ['OF16T', [56, 30]],
    ['SC20', [40, 18]],
    ['SC20G', [46, 24]],
    ['SH28', [44, 20]],
    ['TL24', [44, 22]],
    ['HF22', [39, 18]],
    ['H6', [41, 20]],
    ['PG66', [50, 27]],
    ['AK23S', [46, 18]],
    ['AS22', [44, 21]],
    ['AT20', [42, 20], [50, 28]],
    ['TC18', [42, 19]],
    ['TN17', [42, 20]],
  ] as [string, ...[number, number][]][])('%s keeps 30% new at its widest gap and 15% worn', (code, ...expected) => {
    const settings = settingsOf(code);
    expect(settings).toHaveLength(expected.length);
    for (const [i, one] of settings.entries()) {
      const [fresh, worn] = [lowest(one, one.gapMm, 0)!, lowest(one, one.gapMm + WORN_MM, 1)!];
      expect(fresh).toBeGreaterThanOrEqual(30);
      expect(worn).toBeGreaterThanOrEqual(15);
      // The figures published with the world, reckoned apart from this code.
      expect(Math.abs(fresh - expected[i]![0])).toBeLessThanOrEqual(1);
      expect(Math.abs(worn - expected[i]![1])).toBeLessThanOrEqual(1);
    }
  });

  test.each([
    ['PP20', [20.9, 20.9, 16.1]],
    ['DD70', [26.6, 26.2, 19.5]],
  ] as const)('%s is told from its magneto’s table, 15% kept at starting and at the torque peak', (code, expected) => {
    const [one] = settingsOf(code);
    const { engine, source } = one!.setting;
    const points = operatingPoints(engine);
    const worn = { ...one!.fitted, gapMm: one!.gapMm + WORN_MM, lifeUsed: 1 };
    const asked = points.map((point) => demandKv(worn, point, { isOnGas: false, path: 'direct' }));
    for (const [i, kv] of asked.entries()) expect(kv / 0.85).toBeCloseTo(expected[i]!, 0);
    for (const i of [0, 1]) expect(1 - asked[i]! / availableKv(source, points[i]!)!).toBeGreaterThanOrEqual(0.15);
    const fast = { ...engine, ratedRpm: 9000 };
    expect(estimateSpark({ ...one!.setting, engine: fast }, worn)).toEqual({ kind: 'outside-table' });
  });
});

describe('the supercharged five on a smaller pulley', () => {
  const [stock] = settingsOf('AK23S');
  const pulley = { ...stock!, setting: { ...stock!.setting, engine: { ...stock!.setting.engine, boostKpa: 110 } } };
  const stronger = {
    ...pulley,
    setting: {
      ...pulley.setting,
      source: {
        ...(pulley.setting.source as Extract<SparkSource, { kind: 'inductive' }>),
        inductanceMh: 2.8,
        peakA: 7.5,
        ratedKv: 38,
      },
    },
  };
  // 0.045 mm for 10 000 km over 30 000 km.
  const GROWTH_MM = 0.135;

  test.each([
    [pulley, 0.65, 34, 5],
    [pulley, 0.6, 39, 11],
    [pulley, 0.55, 43, 16],
    [stronger, 0.65, 44, 20],
    [stronger, 0.7, 41, 16],
  ])('has as much in hand as its story says (%#)', (one, gapMm, asSet, atEnd) => {
    expect([lowest(one, gapMm, 0), lowest(one, gapMm + GROWTH_MM, 1)]).toEqual([asSet, atEnd]);
  });

  test('runs out of reserve at the stock gap, holds at a closer one, and a stronger coil gives the stock gap back', () => {
    const advice = (one: typeof pulley, low: number) =>
      widestGap(one.setting, one.fitted, { low, high: 0.7 }, { growthMm: GROWTH_MM, lifeUsed: 1 });
    expect(advice(pulley, 0.6).kind).toBe('none');
    expect(advice(pulley, 0.5)).toMatchObject({ kind: 'gap', gapMm: 0.55 });
    expect(advice(stronger, 0.6)).toMatchObject({ kind: 'gap', gapMm: 0.7 });
  });
});
