import { describe, expect, test } from '@jest/globals';
import type { SchoolOf } from '../house-rules/house-rules.ts';
import { agreedInterval, wearFactor } from './agreed-interval.ts';
import type { Duty } from './duty.ts';

const power = (powerRatio: number): Duty => ({ powerRatio });
const RALLY: Duty = { className: 'Tarn 2' };

/** Written from the rule in words, apart from the code: school, duty, engine maker's, part's life, agreed. */
const KM: readonly (readonly [
  SchoolOf<'interval'>,
  Duty,
  makers: number | undefined,
  life: number | undefined,
  agreed: number | undefined,
])[] = [
  ['engine-maker', {}, 60_000, undefined, 60_000],
  ['engine-maker', {}, 60_000, 100_000, 60_000],
  // The lesser of the two is the base in every school.
  ['engine-maker', {}, 140_000, 100_000, 100_000],
  ['part-life', {}, 60_000, 100_000, 100_000],
  ['part-life', {}, 60_000, undefined, 60_000],
  ['cautious', {}, 60_000, 100_000, 40_000],
  ['cautious', {}, 140_000, 100_000, 66_000],
  // Rounded down to a thousand, under ten thousand to a hundred.
  ['cautious', {}, 5000, undefined, 3300],
  ['cautious', {}, 20_000, 25_000, 13_000],
  // Modified: half, by the cautious three tenths, from a tenth more output on, or in competition.
  ['engine-maker', power(1.09), 60_000, undefined, 60_000],
  ['engine-maker', power(1.1), 60_000, undefined, 30_000],
  ['cautious', power(1.1), 60_000, undefined, 18_000],
  ['engine-maker', RALLY, 60_000, undefined, 30_000],
  ['part-life', power(1.4), 60_000, 100_000, 30_000],
  // What a maker prints stands as printed.
  ['engine-maker', {}, 12_345, undefined, 12_345],
  ['engine-maker', {}, undefined, 40_000, 40_000],
  ['engine-maker', {}, undefined, undefined, undefined],
];

test.each(KM)('by the school %s, %j: maker’s %d and life %d km give %d', (school, duty, makers, life, agreed) => {
  expect(agreedInterval(school, duty, { makers, life })?.value).toBe(agreed);
});

test('running hours are rounded down to ten', () => {
  const hours = (school: SchoolOf<'interval'>, duty: Duty, makers: number) =>
    agreedInterval(school, duty, { makers }, 'hours')!.value;
  expect(hours('cautious', {}, 100)).toBe(60);
  expect(hours('engine-maker', power(1.5), 250)).toBe(120);
  expect(hours('engine-maker', {}, 125)).toBe(125);
});

describe('an interval longer than the plug lives', () => {
  test('is told as a contradiction, and one that is not is none', () => {
    const of = (makers: number, life: number) => agreedInterval('engine-maker', {}, { makers, life })!.outlivesPart;
    expect(of(140_000, 100_000)).toBe(true);
    expect(of(100_000, 100_000)).toBe(false);
    expect(of(60_000, 100_000)).toBe(false);
  });
});

test('a modified engine wears its plugs by as much sooner as its interval is shorter; a cautious shop alone does not', () => {
  expect(wearFactor('engine-maker', power(1.4))).toBe(2);
  expect(wearFactor('cautious', RALLY)).toBeCloseTo(1 / 0.3, 9);
  expect(wearFactor('cautious', {})).toBe(1);
});
