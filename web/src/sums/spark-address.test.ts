import { expect, test } from '@jest/globals';
import type { SparkSetting } from '@brackenfell/core/spark-demand/margin';
import { sparkAddress } from '../set-up/spark-address.ts';
import { readSparkInputs } from './spark-inputs.ts';

const coil = { kind: 'inductive', primaryOhm: 0.9, inductanceMh: 7, peakA: 6, ratedKv: 33 } as const;
const engine = { compressionRatio: 8.2, ratedRpm: 4800, boostKpa: 0, isOnGas: false };

test.each<SparkSetting>([
  { engine, source: { ...coil, place: 'distributor', cylinders: 4 }, path: 'rotor-gap' },
  { engine: { ...engine, boostKpa: 55 }, source: { ...coil, place: 'on-plug', cylinders: 1 }, path: 'direct' },
  {
    engine: { ...engine, isOnGas: true },
    source: { ...coil, place: 'pack', cylinders: 2 },
    path: 'companion-cylinder',
  },
  { engine, source: { ...coil, place: 'pack', cylinders: 1 }, path: 'both-of-one-cylinder' },
])('an engine’s own figures stand in the sum as they stood on the desk (%#)', (setting) => {
  const plug = { tip: 'nickel', inReverse: true } as const;
  const address = sparkAddress(setting, plug, { low: 0.85, high: 0.95 })!;
  const read = readSparkInputs(new URL(address, 'http://localhost').searchParams, 'metric');
  expect(read).toEqual({ kind: 'asked', asked: { setting, plug, range: { low: 0.85, high: 0.95 } } });
});

test('a magneto is told by its table, and has no such sum', () => {
  const source = { kind: 'magneto', kvAtRpm: [{ rpm: 300, kv: 20 }] } as const;
  expect(
    sparkAddress({ engine, source, path: 'direct' }, { tip: 'nickel', inReverse: false }, { low: 0.5, high: 0.6 }),
  ).toBe(undefined);
});
