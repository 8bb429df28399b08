import { describe, expect, test } from '@jest/globals';
import { availableKv, type InductiveCoil, type Magneto } from './available.ts';
import type { OperatingPoint } from './operating-points.ts';

const CRANK: OperatingPoint = { id: 'cold-crank', rpm: 250, batteryV: 8, coilC: -10, density: 1 };
const running = (rpm: number): OperatingPoint => ({ id: 'top-speed', rpm, batteryV: 14, coilC: 90, density: 1 });

/** A coil whose rating never holds it back. */
const COIL: InductiveCoil = {
  kind: 'inductive',
  place: 'distributor',
  cylinders: 4,
  primaryOhm: 1.5,
  inductanceMh: 7,
  peakA: 20,
  ratedKv: 900,
};
/** Worked out by hand from R, L and C, kV. */
const gives = (coil: Partial<InductiveCoil>, at: OperatingPoint) => availableKv({ ...COIL, ...coil }, at);

describe('what a coil can give', () => {
  test.each([
    ['charged until its peak', 24.717, { peakA: 4 }, running(3600)],
    ['behind its ballast, which leaves it short of time', 24.443, { peakA: 4, ballastOhm: 1.5 }, running(3600)],
    ['cold, its ballast bridged at cranking', 29.125, { peakA: 7.5, ballastOhm: 1.5 }, CRANK],
    ['for eight milliseconds where it never reaches its peak', 59.547, { place: 'on-plug' }, running(6000)],
    ['over the capacity of a lead', 44.384, { place: 'pack' }, running(6000)],
    [
      'for as long as its maker allows',
      22.409,
      { place: 'on-plug', inductanceMh: 9, peakA: 4, longestDwellMs: 3 },
      CRANK,
    ],
    [
      'for three times what it takes warm on 14 V, no longer',
      183.116,
      { place: 'on-plug', primaryOhm: 0.5, inductanceMh: 9, peakA: 18 },
      CRANK,
    ],
    ['for nothing, where sparks follow each other faster than it rests', 0, { cylinders: 12 }, running(8000)],
  ] as const)('is what its winding holds, %s', (_, kv, coil, at) => {
    expect(gives(coil, at)).toBeCloseTo(kv, 2);
  });

  test.each([
    [4, 36.956],
    [6, 30.279],
    [8, 26.12],
    [3, 41.918],
  ])('on contact points is what a share of the turn leaves it, on %i cylinders', (cylinders, kv) => {
    expect(gives({ inductanceMh: 9, peakA: 99, cylinders, onPoints: true }, running(3000))).toBeCloseTo(kv, 2);
  });

  test('a current that its winding only just never reaches is waited for as one it never reaches', () => {
    const warm: OperatingPoint = { ...running(250), coilC: 20 };
    // 14 V over 2 Ω are 7 A, after an endless time.
    expect(gives({ place: 'on-plug', primaryOhm: 2, peakA: 7 }, warm)).toBeCloseTo(57.631, 2);
  });

  test('is never more than it is rated for', () => {
    expect(gives({ peakA: 4, ratedKv: 20 }, running(3600))).toBe(20);
  });
});

describe('what a magneto gives', () => {
  const magneto: Magneto = {
    kind: 'magneto',
    kvAtRpm: [
      { rpm: 300, kv: 9 },
      { rpm: 1000, kv: 16 },
      { rpm: 3000, kv: 20 },
    ],
  };

  test.each([
    [300, 9],
    [650, 12.5],
    [1000, 16],
    [2500, 19],
    [3000, 20],
  ])('lies straight between the speeds of its table: at %i rpm %f kV', (rpm, kv) => {
    expect(availableKv(magneto, running(rpm))).toBeCloseTo(kv, 9);
  });

  test.each([299, 3001])('is not said outside its table: %i rpm', (rpm) => {
    expect(availableKv(magneto, running(rpm))).toBeUndefined();
    expect(availableKv({ ...magneto, kvAtRpm: [] }, running(rpm))).toBeUndefined();
  });

  test('at cranking is what it gives at the 300 rpm that its impulse makes of them', () => {
    expect(availableKv(magneto, CRANK)).toBe(9);
  });
});
