import { describe, expect, test } from '@jest/globals';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { SparkDesk } from '@brackenfell/core/set-up/spark-desk';
import { gapThroughLife } from '@brackenfell/core/set-up/spark-desk';
import { marginRange } from '@brackenfell/core/spark-demand/margin-range';
import { inHand, sayGap, saySchools } from './spark-words.ts';

const metric = sayIn('metric');
const coil = {
  kind: 'inductive',
  place: 'on-plug',
  cylinders: 1,
  primaryOhm: 0.5,
  inductanceMh: 2.5,
  peakA: 7,
} as const;
const makers = { low: 0.6, high: 0.7 };
const end = { growthMm: 0.135, lifeUsed: 1 };
const plug = { tip: 'fine-wire', inReverse: false } as const;

function deskAt(boostKpa: number, ratedKv = 32): Extract<SparkDesk, { kind: 'ready' }> {
  const setting = {
    engine: { compressionRatio: 8.8, ratedRpm: 6500, boostKpa, isOnGas: false },
    source: { ...coil, ratedKv },
    path: 'direct',
  } as const;
  return {
    kind: 'ready',
    setting,
    plug,
    inputs: [],
    makers,
    asked: makers,
    end,
    byMargin: marginRange(setting, plug, makers, end),
  };
}

describe('what is said of a spark', () => {
  test('a margin is never told for more than it is, and a shortfall never for less', () => {
    expect([inHand(0.299), inHand(0.3), inHand(0.149)]).toEqual(['29% in hand', '30% in hand', '14% in hand']);
    expect([inHand(-0.001), inHand(-0.08), inHand(0)]).toEqual(['1% short', '8% short', '0% in hand']);
  });

  test('a gap is told as set and at its interval’s end, where and with its word', () => {
    const desk = deskAt(110);
    expect(sayGap(0.65, gapThroughLife(desk, 0.65), end.growthMm, metric)).toMatch(
      /^At 0\.65 mm the spark asks 21\.\d of 32\.0 kV at torque peak, 34% in hand: comfortable\. At the interval’s end, 0\.14 mm wider, .* a misfire is likely\.$/,
    );
  });

  test('both schools are told, and what would help where no gap holds', () => {
    expect(saySchools(deskAt(110), metric)).toEqual([
      'By the engine maker: 0.60–0.70 mm.',
      'By reserve: 0.50–0.55 mm, aim 0.53 mm.',
    ]);
    expect(saySchools(deskAt(250), metric)[1]).toMatch(
      /no gap holds: 0\.50 mm would want a coil that gives \d+ kV at torque peak/,
    );
  });

  test('outside a magneto’s table nothing is said of it', () => {
    const source = { kind: 'magneto', kvAtRpm: [{ rpm: 300, kv: 20 }] } as const;
    const desk = { ...deskAt(0), setting: { ...deskAt(0).setting, source } };
    expect(sayGap(0.6, gapThroughLife(desk, 0.6), end.growthMm, metric)).toBeUndefined();
  });
});
