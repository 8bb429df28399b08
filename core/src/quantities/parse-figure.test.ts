import { describe, expect, test } from '@jest/globals';
import { parseFigure } from './parse-figure.ts';

/** Every way a text may be read, as low end, high end and last written digit, and the unit. */
function waysOf(text: string): unknown {
  const parsed = parseFigure(text);
  if (parsed.kind !== 'figure') return parsed.kind === 'open' ? 'open' : parsed.why;
  const ways = parsed.ways.map(({ low, high, step }) => [low, high, Number(step.toPrecision(6))]);
  return parsed.unit ? [ways, parsed.unit] : [ways];
}
const NOT_DIGITS = 'The digits cannot be read as a number.';
const NO_FIGURE = 'This does not read as a figure, a range or a tolerance.';

describe('one figure, as people write it', () => {
  test.each<[string, number, number]>([
    ['-5', -5, 1],
    ['−5', -5, 1],
    ['.75', 0.75, 0.01],
    ['1 234', 1234, 1],
    ['1 234 567', 1_234_567, 1],
    ['-1/2', -0.5, 0],
    ['12 1/2', 12.5, 0],
    ['1  1/2', 1.5, 0],
    ['-12 1/2', -12.5, 0],
    ['1,234,567', 1_234_567, 1],
    ['1,234.56', 1234.56, 0.01],
    ['1.234,5', 1234.5, 0.1],
    ['12.345,67', 12_345.67, 0.01],
    ['1.234.567,8', 1_234_567.8, 0.1],
    ['-1.234,5', -1234.5, 0.1],
    ['0.123', 0.123, 0.001],
    ['1.2345', 1.2345, 0.0001],
    ['1234,567', 1234.567, 0.001],
    ['1,2345', 1.2345, 0.0001],
    ['≈0.8', 0.8, 0.1],
    [' 0.8 ', 0.8, 0.1],
  ])('%s is one thing alone', (text, value, step) => {
    expect(waysOf(text)).toEqual([[[value, value, step]]]);
  });

  test.each<[string, number, number]>([
    ['12,345', 12.345, 12_345],
    ['1.234', 1.234, 1234],
    ['12.345', 12.345, 12_345],
    ['123.456', 123.456, 123_456],
  ])('%s may set its thousands apart or its decimals', (text, decimal, thousands) => {
    expect(waysOf(text)).toEqual([
      [
        [decimal, decimal, 0.001],
        [thousands, thousands, 1],
      ],
    ]);
  });

  test.each([
    ['⌀ 14 mm', 14, 1, 'mm'],
    ['~0.8 mm', 0.8, 0.1, 'mm'],
    ['1 ½ in', 1.5, 0, 'in'],
    ['150 lbf/in2', 150, 1, 'psi'],
    ['150 lb per sq in²', 150, 1, 'psi'],
    ['150 lbf per sq. inch^2', 150, 1, 'psi'],
    ['150lb/in²', 150, 1, 'psi'],
  ])('%s carries its unit', (text, value, step, unit) => {
    expect(waysOf(text)).toEqual([[[value, value, step]], unit]);
  });

  test.each(['OL', 'O.L.', 'o.l', 'open', 'open circuit', '∞'])('%s is a meter that shows nothing', (text) => {
    expect(waysOf(text)).toBe('open');
  });
});

describe('two ends', () => {
  test.each([
    ['1-2 mm', 1, 2, 1],
    ['5 mm - 6', 5, 6, 1],
    ['5 - 6 mm', 5, 6, 1],
    ['5 mm...6 mm', 5, 6, 1],
    ['5 to 6 mm', 5, 6, 1],
    ['0,5 - 0,7 mm', 0.5, 0.7, 0.1],
    ['1.0-1.25 mm', 1, 1.25, 0.01],
    ['1 ±0.25 mm', 0.75, 1.25, 1],
    ['1 +/- 0.25 mm', 0.75, 1.25, 1],
    ['1 + / - 0.25 mm', 0.75, 1.25, 1],
    ['1 +-0.25 mm', 0.75, 1.25, 1],
    ['10 ±5% mm', 9.5, 10.5, 1],
    ['1 +0.1/-0.2 mm', 0.8, 1.1, 1],
    ['1 mm +0.1/-0.2', 0.8, 1.1, 1],
    ['1+0.1 mm / -0.2 mm', 0.8, 1.1, 1],
  ])('%s', (text, low, high, step) => {
    expect(waysOf(text)).toEqual([[[low, high, step]], 'mm']);
  });

  test('both in one convention, of which there may be two', () => {
    expect(waysOf('1.000-1.100 kPa')).toEqual([
      [
        [1, 1.1, 0.001],
        [1000, 1100, 1],
      ],
      'kpa',
    ]);
  });

  test.each([
    ['10 ±5% Nm', 10],
    ['1 +0.1/-0.2 mm', 1],
  ])('%s keeps what it was written about', (text, nominal) => {
    expect(parseFigure(text)).toMatchObject({ ways: [{ nominal }] });
  });
});

describe('what is not read says why', () => {
  test.each([
    ['', 'Nothing was written.'],
    ['  ', 'Nothing was written.'],
    ['~', 'Nothing was written.'],
    ['1/0', NOT_DIGITS],
    ['3/0 mm', NOT_DIGITS],
    ['5..6', NOT_DIGITS],
    ['0.123,4', NOT_DIGITS],
    ['1.23,4', NOT_DIGITS],
    ['1,23,4', NOT_DIGITS],
    ['1..2-3 mm', NOT_DIGITS],
    ['12 34', NO_FIGURE],
    ['5 +1', NO_FIGURE],
    ['1 + - 2/3 - 4', NO_FIGURE],
    ['lbf', NO_FIGURE],
    ['opened', NO_FIGURE],
    ['fool', NO_FIGURE],
    ['0.8 mm 0.9', NO_FIGURE],
    ['5 x', '“x” is not a unit this counter knows.'],
    ['0.8 ~', '“~” is not a unit this counter knows.'],
    ['1.234,5x', '“x” is not a unit this counter knows.'],
    ['0.8 mm - 0.9 furlongs', '“furlongs” is not a unit this counter knows.'],
    ['5 mm - 6 in', 'The two ends are written in different units.'],
    ['2-1 mm', 'The first figure is larger than the second.'],
    ['9'.repeat(61), 'Too long to be a figure.'],
  ])('%j: %s', (text, why) => {
    expect(waysOf(text)).toBe(why);
  });

  test('sixty signs are not too long', () => {
    expect(parseFigure('9'.repeat(60)).kind).toBe('figure');
  });
});
