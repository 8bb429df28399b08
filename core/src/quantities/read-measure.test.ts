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

test('a boot of 45° is asked back, for it is 135° told the other way', () => {
  expect(readMeasure('45°', 'metric')?.question).toMatch(/135°/);
});
