import { describe, expect, test } from '@jest/globals';
import { readPriceMinor, readTyped } from './read-typed.ts';

describe('a reading typed at the counter', () => {
  test('is in the quantity’s own unit, whatever unit was written', () => {
    expect(readTyped('gapMm', '1,04')).toEqual({ kind: 'read', value: 1.04 });
    expect(readTyped('gapMm', '.041"')).toMatchObject({ kind: 'read', value: expect.closeTo(1.0414, 6) });
    expect(readTyped('resistorKohm', '4.8')).toMatchObject({ value: expect.closeTo(4.8, 9) });
    expect(readTyped('resistorKohm', '4800 ohm')).toMatchObject({ value: expect.closeTo(4.8, 9) });
    expect(readTyped('weightG', '46.2 g')).toEqual({ kind: 'read', value: 46.2 });
  });
  test('that cannot be meant is asked about', () => {
    expect(readTyped('gapMm', '0.8 in').kind).toBe('asked');
    expect(readTyped('gapMm', '35')).toMatchObject({ kind: 'read', said: expect.stringMatching(/thou/) });
    expect(readTyped('weightG', 'heavy').kind).toBe('asked');
    expect(readTyped('weightG', '40-46').kind).toBe('asked');
    expect(readTyped('primaryOhm', 'OL').kind).toBe('asked');
  });
  test('of one quantity typed for another is asked about, and taken as meant once its unit is written', () => {
    const catalogue = { reachMm: 19, weightG: 46, lengthMm: 50.5 };
    expect(readTyped('weightG', '19', catalogue)).toMatchObject({
      kind: 'asked',
      why: expect.stringMatching(/19\.0 mm is its reach/),
    });
    expect(readTyped('weightG', '19 g', catalogue)).toEqual({ kind: 'read', value: 19 });
    expect(readTyped('weightG', '41', catalogue)).toEqual({ kind: 'read', value: 41 });
    expect(readTyped('weightG', '19 mm', catalogue).kind).toBe('asked');
    expect(readTyped('reachMm', '19.2', catalogue)).toMatchObject({ kind: 'read' });
  });
  test('a price is read in pence', () => {
    expect(['4.20', '£4,20', '£ 12', '0', 'free', '4-5'].map(readPriceMinor)).toEqual([
      420,
      420,
      1200,
      undefined,
      undefined,
      undefined,
    ]);
  });
});
