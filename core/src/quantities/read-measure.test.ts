import { describe, expect, test } from '@jest/globals';
import { readMeasure } from './read-measure.ts';

const read = (text: string, system: 'metric' | 'imperial' = 'metric') => readMeasure(text, system);

describe('a figure typed where anything may be typed', () => {
  test.each([
    ['0,8 mm', 'gap', '0.80 mm = 31 thou = 0.031 in'],
    ['32 thou', 'gap', '0.81 mm = 32 thou = 0.032 in'],
    ['19 mm', 'reach', '19.00 mm = 0.748 in'],
    ['25 Nm', 'plug torque', '25.0 N·m = 18 lbf·ft = 221 lbf·in'],
  ])('%s is told as a %s in every usual unit', (text, of, says) => {
    expect(read(text)!.readings.find((reading) => reading.of === of)?.says).toBe(says);
  });

  test.each([
    ['.8', '0.80 mm'],
    ['0,8', '0.80 mm'],
    [' 0.75 ', '0.75 mm'],
    ['0.7-0.8', '0.70–0.80 mm'],
    ['0.7 – 0.8', '0.70–0.80 mm'],
    ['.7 - .8', '0.70–0.80 mm'],
    ['0.7-0.85', '0.70–0.85 mm'],
  ])('%j without a unit is a gap of %s', (text, says) => {
    expect(read(text)!.readings.map((one) => [one.of, one.says.split(' = ')[0]])).toEqual([['gap', says]]);
  });

  test.each(['0.7-0.8 x', 'KN 0.8', '0.8 KN', '0.8-', '145°', '4 °C', '5 kV', '120 km', 'OL', '7-8', '0.7-8'])(
    '%s is no measurement of a part',
    (text) => {
      expect(read(text)).toBeUndefined();
    },
  );

  test.each([
    ['12 bar', [['compression', '1\u00a0200 kPa = 12.0 bar = 174 psi']]],
    [
      '5k',
      [
        ['plug resistor', '5.0 kΩ = 5\u00a0000 Ω'],
        ['lead resistance', '5.0 kΩ = 5\u00a0000 Ω'],
      ],
    ],
    // A thread is told as often as a reach.
    ['14 mm', [['hex', '14.00 mm = 0.551 in']]],
  ])('%s is told as all that it may measure, without a question', (text, told) => {
    const { readings, question } = read(text)!;
    expect(readings.map(({ of, says }) => [of, says])).toEqual(told);
    expect(question).toBeNull();
  });

  test('a millimetre figure may be more than one thing', () => {
    expect(read('19 mm')!.readings.map(({ of }) => of)).toEqual(['reach', 'hex']);
  });

  test('a bare decimal is a gap in the reader’s units; a bare whole number is no measurement', () => {
    expect(read('0.8')!.readings.map(({ of }) => of)).toEqual(['gap']);
    expect(read('0.035', 'imperial')!.readings[0]!.says).toContain('35 thou');
    expect(read('35')).toBeUndefined();
    expect(read('KN 419G')).toBeUndefined();
    expect(read('35 furlongs')).toBeUndefined();
  });

  test('what it could not be is asked about, never converted', () => {
    const odd = read('35.000 mm');
    expect(odd!.readings.some(({ of }) => of === 'gap')).toBe(false);
    expect(read('90 mm')).toMatchObject({ readings: [], question: expect.stringMatching(/not a usual gap/) });
    expect(read('900 Nm')!.question).toMatch(/not a usual plug torque/);
  });
});

test('a pair on a sheet that cannot be one figure is asked back, one that can is not', () => {
  expect(readMeasure('25 N·m / 25 lbf·ft', 'metric')?.question).toMatch(/are not the same/);
  expect(readMeasure('1.1 mm (0.043 in)', 'metric')?.question ?? null).toBeNull();
});

test.each([
  '25 N·m = 18 lbf·ft',
  '25 N·m (18 lbf·ft)',
  '25 N·m/18 lbf·ft',
  '25-30 N·m / 18-22 lbf·ft',
  '25 N·m/',
  'a/5',
])('%s is one figure in two units, or no pair, and is not asked about', (text) => {
  expect(readMeasure(text, 'metric')).toBeUndefined();
});

test.each([
  ['25 N·m (28 lbf·ft)', '25 N·m and 28 lbf·ft'],
  ['1.1 mm = 0.053 in', '1.1 mm and 0.053 in'],
  // An end rounded outward: 18 lbf·ft are 24.4 N·m.
  ['25–30 N·m (18–29 lbf·ft)', '25–30 N·m and 18–29 lbf·ft'],
])('%s names the two that are not the same, and takes neither', (text, two) => {
  const { question, readings } = readMeasure(text, 'metric')!;
  expect(question).toBe(`${two} are not the same: one of the two is wrong, or its unit is. Which does the sheet mean?`);
  expect(readings).toEqual([]);
});

test.each(['135 deg', '45 degrees', '45 º', '135°'])('%s is a bend', (text) => {
  expect(readMeasure(text, 'metric')).toMatchObject({ question: expect.stringMatching(/135°/), readings: [] });
});

test('a boot of 45° is asked back, for it is 135° told the other way', () => {
  expect(readMeasure('45°', 'metric')?.question).toMatch(/135°/);
});
