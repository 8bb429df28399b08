import { expect, test } from '@jest/globals';
import { readSparkInputs } from './spark-inputs.ts';

const WHOLE = 'ratio=8.8&rpm=6500&boost=55&ohm=0.5&mh=2.5&amps=7&kv=32&gap=0.60-0.70';

test('an address that tells everything is reckoned with, choices at their first', () => {
  const read = readSparkInputs(new URLSearchParams(WHOLE), 'metric');
  expect(read).toMatchObject({
    kind: 'asked',
    asked: {
      setting: {
        engine: { compressionRatio: 8.8, boostKpa: 55, isOnGas: false },
        source: { ratedKv: 32 },
        path: 'direct',
      },
      plug: { tip: 'fine-wire', inReverse: false },
      range: { low: 0.6, high: 0.7 },
    },
  });
});

test('what is missing is named, and nothing is taken for granted but that nobody boosts it', () => {
  const search = new URLSearchParams(WHOLE);
  for (const name of ['mh', 'boost']) search.delete(name);
  expect(readSparkInputs(search, 'metric')).toEqual({ kind: 'not-estimated', missing: ['Primary, mH'], wrong: [] });
});

test('a figure that cannot be is named apart: a ratio of 88, a gap of 35 mm', () => {
  const search = new URLSearchParams(WHOLE);
  search.set('ratio', '88');
  search.set('gap', '35 mm');
  expect(readSparkInputs(search, 'metric')).toEqual({
    kind: 'not-estimated',
    missing: [],
    wrong: ['Compression ratio', 'Gap'],
  });
});

test('a distributor adds its rotor’s gap, a pack the cylinder that sparks along', () => {
  const path = (place: string) => {
    const read = readSparkInputs(new URLSearchParams(`${WHOLE}&place=${place}`), 'metric');
    return read.kind === 'asked' ? read.asked.setting.path : undefined;
  };
  expect([path('six'), path('pack'), path('nonsense')]).toEqual(['rotor-gap', 'companion-cylinder', 'direct']);
});
