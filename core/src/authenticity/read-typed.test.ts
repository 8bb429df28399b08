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
  test('a bare figure is another’s only within what would be taken for it, and far from its own', () => {
    const catalogue = { reachMm: 19, weightG: 46, lengthMm: 50.5 };
    const kind = (id: Parameters<typeof readTyped>[0], text: string, of: Parameters<typeof readTyped>[2] = catalogue) =>
      readTyped(id, text, of).kind;
    // A reach of 19 is taken for one from 18.7 to 19.3, a length of 50.5 from 49.5 to 51.5.
    expect(['18.6', '18.7', '19.3', '19.4'].map((text) => kind('weightG', text))).toEqual([
      'read',
      'asked',
      'asked',
      'read',
    ]);
    // Within a fifth of its own figure it is meant: 46 g less a fifth are 36.8.
    expect(kind('weightG', '50.5')).toBe('read');
    expect(kind('weightG', '36.9', { weightG: 46, reachMm: 36.9 })).toBe('read');
    expect(kind('weightG', '36.7', { weightG: 46, reachMm: 36.7 })).toBe('asked');
    expect(kind('weightG', '19', { reachMm: 19 })).toBe('asked');
    expect(kind('weightG', '19', { weightG: 46 })).toBe('read');
    expect(kind('weightG', '19', {})).toBe('read');
    // A quantity without a tolerance is taken to its last digit.
    expect(['1.00', '1.004', '1.01'].map((text) => kind('weightG', text, { gapMm: 1 }))).toEqual([
      'asked',
      'asked',
      'read',
    ]);
    expect(kind('reachMm', '19"', catalogue)).not.toBe('read');
  });

  test('the question names both, and what to write where it was meant', () => {
    expect(readTyped('weightG', ' 19 ', { reachMm: 19, weightG: 46 })).toEqual({
      kind: 'asked',
      why: '19.0 mm is its reach: was that typed for the weight? If 19 g is meant, write the unit.',
    });
    expect(readTyped('weightG', ' 19 g ', { reachMm: 19, weightG: 46 })).toEqual({ kind: 'read', value: 19 });
  });

  test('nothing is a weight, less than nothing is none; what cannot be read says why', () => {
    expect(readTyped('weightG', '0')).toEqual({ kind: 'read', value: 0 });
    expect(readTyped('weightG', '-1')).toEqual({ kind: 'asked', why: 'A single reading in g.' });
    expect(readTyped('weightG', 'OL')).toEqual({ kind: 'asked', why: 'A single reading in g.' });
    expect(readTyped('gapMm', 'wide')).toEqual({
      kind: 'asked',
      why: 'This does not read as a figure, a range or a tolerance.',
    });
    expect(readTyped('primaryOhm', 'OL')).toEqual({ kind: 'asked', why: 'Open: no value to hold against the part’s.' });
    expect(readTyped('gapMm', '0.7-0.9 mm')).toEqual({ kind: 'read', value: 0.8 });
    expect(readTyped('resistorKohm', '5000 ohm')).toEqual({ kind: 'read', value: 5 });
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
