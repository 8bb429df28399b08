import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breakdownKv, demandKv, electrodeFactor, type SparkPlug } from './demand.ts';
import { densityAtSpark, volumeRatioAtSpark } from './density.ts';
import { admitEvidence, withEvidence } from './evidence.ts';
import { judgeRange } from './judge-range.ts';
import { estimateSpark, sayMargin, widestGap, type SparkSetting } from './margin.ts';
import { operatingPoints } from './operating-points.ts';

const engine = { compressionRatio: 10, ratedRpm: 6000, boostKpa: 0, isOnGas: false };
const coil = {
  kind: 'inductive',
  place: 'on-plug',
  cylinders: 4,
  primaryOhm: 0.5,
  inductanceMh: 2.6,
  peakA: 7.5,
  ratedKv: 36,
} as const;
const setting: SparkSetting = { engine, source: coil, path: 'direct' };
const plug: SparkPlug = { gapMm: 1, tip: 'fine-wire', lifeUsed: 0, inReverse: false };
const margin = (of: Partial<SparkPlug>, at: SparkSetting = setting) => {
  const estimate = estimateSpark(at, { ...plug, ...of });
  return estimate.kind === 'estimated' ? estimate.lowest.margin : undefined;
};

describe('how dense the mixture is between the electrodes', () => {
  test('is the compression ratio at the very top, and less the earlier the spark', () => {
    expect(volumeRatioAtSpark(10, 0)).toBeCloseTo(10, 9);
    expect(volumeRatioAtSpark(10, 180)).toBeCloseTo(1, 9);
    expect(volumeRatioAtSpark(10, 30)).toBeLessThan(volumeRatioAtSpark(10, 15));
  });

  test('is one for the outside air at 20 °C, doubled by another atmosphere of boost', () => {
    expect(densityAtSpark(1, 101.325, 20)).toBeCloseTo(1, 9);
    expect(densityAtSpark(1, 202.65, 20)).toBeCloseTo(2, 9);
  });
});

describe('density, by hand', () => {
  test('is less in warm air, and less the longer the piston has to go', () => {
    expect(densityAtSpark(10, 100, 40)).toBeCloseTo(9.2386, 4);
    expect(volumeRatioAtSpark(10, 30)).toBeCloseTo(5.6676, 4);
    expect(volumeRatioAtSpark(10, 30, 1.5)).toBeCloseTo(5.5813, 4);
  });

  test('at every point of a running engine rises with what is boosted, at cranking with nothing', () => {
    const at = (boostKpa: number) => operatingPoints({ ...engine, boostKpa }).map(({ density }) => density);
    const [plain, boosted] = [at(0), at(101.325)];
    expect(boosted[0]).toBe(plain[0]);
    expect(boosted[1]! / plain[1]!).toBeCloseTo(2, 9);
    expect(boosted[2]! / plain[2]!).toBeCloseTo(2, 9);
  });
});

describe('what a spark asks', () => {
  test('is the breakdown that books print for air: 4.56 kV at 0.1 bar·cm, 31.08 at 1', () => {
    const density = 1 / 1.01325;
    expect(breakdownKv(1, density)).toBeCloseTo(4.561, 2);
    expect(breakdownKv(10, density)).toBeCloseTo(31.08, 2);
  });

  test('is more on nickel, worn, in reverse, on gas and over a rotor; in reverse not at cold cranking', () => {
    const [crank, torque] = operatingPoints(engine);
    const asked = (of: Partial<SparkPlug>, more = {}) =>
      demandKv({ ...plug, ...of }, torque!, { isOnGas: false, path: 'direct', ...more });
    expect(asked({ tip: 'nickel' }) / asked({})).toBeCloseTo(0.85 / 0.7, 9);
    expect(asked({ lifeUsed: 0.5 }) / asked({})).toBeCloseTo(0.775 / 0.7, 9);
    expect(asked({ inReverse: true }) / asked({})).toBeCloseTo(1.15, 9);
    expect(asked({}, { isOnGas: true }) / asked({})).toBeCloseTo(1.1, 9);
    expect(asked({}, { path: 'rotor-gap' }) - asked({})).toBeCloseTo(2, 9);
    const cold = (inReverse: boolean) => demandKv({ ...plug, inReverse }, crank!, { isOnGas: false, path: 'direct' });
    expect(cold(true)).toBe(cold(false));
    expect(electrodeFactor({ tip: 'nickel', lifeUsed: 3 })).toBe(1);
  });
});

describe('the margin', () => {
  test('never grows with the gap, the wear or the boost, nor shrinks with the coil’s rated voltage', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 1.4, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 150, noNaN: true }),
        (gapMm, lifeUsed, boostKpa) => {
          const here = { ...setting, engine: { ...engine, boostKpa } };
          const m = margin({ gapMm, lifeUsed }, here)!;
          expect(margin({ gapMm: gapMm + 0.1, lifeUsed }, here)!).toBeLessThanOrEqual(m);
          expect(margin({ gapMm, lifeUsed: Math.min(1, lifeUsed + 0.2) }, here)!).toBeLessThanOrEqual(m);
          expect(
            margin({ gapMm, lifeUsed }, { ...here, engine: { ...engine, boostKpa: boostKpa + 20 } })!,
          ).toBeLessThanOrEqual(m);
          expect(margin({ gapMm, lifeUsed }, { ...here, source: { ...coil, ratedKv: 40 } })!).toBeGreaterThanOrEqual(m);
        },
      ),
    );
  });

  test('is the least of the three points, each of which is told', () => {
    const boosted = { ...setting, engine: { ...engine, boostKpa: 120 } };
    const estimate = estimateSpark(boosted, plug);
    if (estimate.kind !== 'estimated') throw new Error('not estimated');
    expect(estimate.points.map(({ id }) => id)).toEqual(['cold-crank', 'torque-peak', 'top-speed']);
    expect(estimate.lowest.margin).toBe(Math.min(...estimate.points.map((point) => point.margin)));
    expect(new Set(estimate.points.map((point) => point.margin)).size).toBe(3);
    expect(estimate.lowest).not.toBe(estimate.points[0]);
  });

  test('is told in a word: 30% comfortable, 15% tight, below it a misfire is likely', () => {
    expect([0.3, 0.29, 0.15, 0.14].map(sayMargin)).toEqual(['comfortable', 'tight', 'tight', 'misfire-likely']);
  });

  test('falls at speed where contact points or a distributor leave little time to charge', () => {
    const slow = { ...coil, place: 'distributor', cylinders: 8, inductanceMh: 7, primaryOhm: 0.9 } as const;
    const at = (ratedRpm: number, onPoints: boolean) => {
      const estimate = estimateSpark(
        { engine: { ...engine, ratedRpm }, source: { ...slow, onPoints }, path: 'rotor-gap' },
        plug,
      );
      return estimate.kind === 'estimated' ? estimate.points[2]!.availableKv : 0;
    };
    expect(at(6000, false)).toBeLessThan(at(3000, false));
    expect(at(6000, true)).toBeLessThan(at(3000, true));
  });
});

describe('a gap range', () => {
  const strong = { ...setting, source: { ...coil, ratedKv: 60, inductanceMh: 8 } };
  const weak = (ratedKv: number) => ({ ...setting, source: { ...coil, ratedKv } });
  const judged = (at: SparkSetting) => {
    const judgement = judgeRange(at, { tip: 'fine-wire', inReverse: false }, { low: 0.9, high: 1 });
    if (judgement.kind !== 'judged') throw new Error('not judged');
    return judgement;
  };

  test('is told by its widest gap, new; or that it runs out before the plug is worn', () => {
    expect(judged(strong).word).toBe('comfortable');
    const later = judged(weak(27));
    expect([later.word, later.fresh.lowest.margin > 0.15, later.worn.lowest.margin < 0.15]).toEqual([
      'runs-out',
      true,
      true,
    ]);
  });

  test('whose new plug misfires already is not told to run out later', () => {
    const short = judged(weak(12));
    expect([short.word, short.advice.kind]).toEqual(['misfire-likely', 'none']);
  });

  test('is not judged where a magneto’s table does not reach', () => {
    const magneto = { kind: 'magneto', kvAtRpm: [{ rpm: 1000, kv: 14 }] } as const;
    const out = { kind: 'outside-table' };
    expect(judgeRange({ ...setting, source: magneto }, plug, { low: 0.6, high: 0.7 })).toEqual(out);
    const used = { gapMm: 0.7, ranKm: 8000, readHealthy: true, gaugedHere: true };
    expect(admitEvidence({ ...setting, source: magneto }, plug, used)).toEqual(out);
  });

  test('gets its advice for a plug that stands 0.2 mm wider, worn out', () => {
    const range = { low: 0.5, high: 1 };
    const worn = { growthMm: 0.2, lifeUsed: 1 };
    const at = weak(24);
    const { advice } = judgeRange(at, { tip: 'fine-wire', inReverse: false }, range) as { advice: unknown };
    expect(advice).toEqual(widestGap(at, { tip: 'fine-wire', inReverse: false }, range, worn));
    expect(advice).not.toEqual(
      widestGap(at, { tip: 'fine-wire', inReverse: false }, range, { growthMm: 0, lifeUsed: 0 }),
    );
  });

  test('gets advice from inside it alone, also where it is given in thousandths', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 50 }), fc.integer({ min: 0, max: 5 }), (thou, more) => {
        const range = { low: thou * 0.0254, high: (thou + more) * 0.0254 };
        for (const at of [strong, weak(27), weak(12)]) {
          const advice = widestGap(at, plug, range, { growthMm: 0.2, lifeUsed: 1 });
          const gapMm = advice.kind === 'gap' ? advice.gapMm : advice.kind === 'none' ? advice.narrowestMm : NaN;
          expect(gapMm).toBeGreaterThanOrEqual(range.low - 1e-9);
          expect(gapMm).toBeLessThanOrEqual(range.high + 1e-9);
        }
      }),
    );
  });
});

describe('what a vehicle has run well on', () => {
  const weak: SparkSetting = { ...setting, source: { ...coil, ratedKv: 22 } };
  const fitted = { tip: 'fine-wire', inReverse: false } as const;
  const ran = { gapMm: 1, ranKm: 8000, readHealthy: true, gaugedHere: true };
  const lowestKv = (of: SparkSetting) => {
    const estimate = estimateSpark(of, { ...fitted, gapMm: 1, lifeUsed: 1 });
    return estimate.kind === 'estimated' ? estimate.lowest : undefined;
  };

  test('is a lower bound for its coil: the gap it ran with keeps 15% in hand by it, and no less than was reckoned', () => {
    const admitted = admitEvidence(weak, fitted, ran);
    expect(lowestKv(weak)!.margin).toBeLessThan(0.15);
    if (admitted.kind !== 'admitted') throw new Error('not admitted');
    expect(lowestKv(withEvidence(weak, admitted.factor))!.margin).toBeCloseTo(0.15, 9);
    expect(admitEvidence(setting, fitted, { ...ran, gapMm: 0.4 })).toEqual({ kind: 'admitted', factor: 1 });
    expect(admitEvidence(setting, fitted, { ...ran, gapMm: 0.4, ranKm: 1000 }).kind).toBe('admitted');
    expect(withEvidence(setting, 1)).toBe(setting);
    expect(withEvidence(setting, 0.8)).toBe(setting);
  });

  test.each([
    [{ gaugedHere: false }, 'not-gauged'],
    [{ ranKm: 900 }, 'too-short'],
    [{ readHealthy: false }, 'not-healthy'],
  ])('%j raises a question and nothing else', (of, because) => {
    expect(admitEvidence(weak, fitted, { ...ran, ...of })).toEqual({ kind: 'question', because });
  });
});

test('one coil that fires both plugs of a cylinder is asked for both at once', () => {
  const [, torque] = operatingPoints(engine);
  const asked = (path: SparkSetting['path']) => demandKv(plug, torque!, { isOnGas: false, path });
  expect(asked('both-of-one-cylinder')).toBeCloseTo(2 * asked('direct'), 9);
});
