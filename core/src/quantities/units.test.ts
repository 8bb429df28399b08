import { describe, expect, test } from '@jest/globals';
import { fromBase, toBase, unitOf, UNITS, type UnitId } from './units.ts';

const IDS = Object.keys(UNITS) as UnitId[];

describe('a figure in a unit', () => {
  // Worked out by hand from the definitions of the inch, the pound force, the mile and the degrees.
  test.each([
    [1, 'in', 25.4],
    [35, 'thou', 0.889],
    [1, 'cm', 10],
    [250, 'um', 0.25],
    [18, 'lbfFt', 24.404723],
    [216, 'lbfIn', 24.404723],
    [250, 'kgfCm', 24.516625],
    [2.5, 'kgfM', 24.516625],
    [150, 'psi', 1034.213594],
    [12, 'bar', 1200],
    [1.2, 'mpa', 1200],
    [5, 'kohm', 5000],
    [20, 'celsius', 20],
    [68, 'fahrenheit', 20],
    [32, 'fahrenheit', 0],
    [-40, 'fahrenheit', -40],
    [293.15, 'kelvin', 20],
    [60, 'mile', 96.56064],
    [450, 'volt', 0.45],
    [2, 'lb', 0.90718474],
  ] as const)('%d %s is %d in the base', (value, unit, base) => {
    expect(toBase(value, unit)).toBeCloseTo(base, 5);
    expect(fromBase(base, unit)).toBeCloseTo(value, 5);
  });

  test('twelve inch pounds are one foot pound, and a hundred kilogram centimetres one kilogram metre', () => {
    expect(toBase(12, 'lbfIn')).toBeCloseTo(toBase(1, 'lbfFt'), 6);
    expect(toBase(100, 'kgfCm')).toBeCloseTo(toBase(1, 'kgfM'), 9);
  });

  test.each(IDS)('%s comes back as it went', (unit) => {
    for (const value of [-3, 0, 0.001, 7, 1234.5]) expect(fromBase(toBase(value, unit), unit)).toBeCloseTo(value, 9);
  });
});

describe('a unit as people write it', () => {
  test.each([
    ['N·m', 'nm'],
    ['N.m', 'nm'],
    ['Newton metres', 'nm'],
    ['ft-lb', 'lbfFt'],
    ['ft lbs', 'lbfFt'],
    ['lb/ft', 'lbfFt'],
    ['FOOT-POUNDS', 'lbfFt'],
    ['in-lb', 'lbfIn'],
    ['inch pounds', 'lbfIn'],
    ['kgf·cm', 'kgfCm'],
    ['kg-cm', 'kgfCm'],
    ['mkg', 'kgfM'],
    ['"', 'in'],
    ['”', 'in'],
    ['″', 'in'],
    ['inches', 'in'],
    ['mils', 'thou'],
    ['µm', 'um'],
    ['microns', 'um'],
    ['Ω', 'ohm'],
    ['\u2126', 'ohm'],
    ['kΩ', 'kohm'],
    ['k', 'kohm'],
    ['°C', 'celsius'],
    ['℃', 'celsius'],
    ['°F', 'fahrenheit'],
    ['deg F', 'fahrenheit'],
    ['lbs', 'lb'],
  ] as const)('%s is %s', (written, unit) => {
    expect(unitOf(written)).toBe(unit);
  });
  test.each(['', ' ', 'furlong', 'mmm', 'nmm', '-', 'per', 'm'])('“%s” is none of ours', (written) => {
    expect(unitOf(written)).toBeUndefined();
  });

  test('means one unit alone: no spelling is another’s', () => {
    const spellings = IDS.flatMap((id) => [...UNITS[id].spellings]);
    expect(spellings).toHaveLength(new Set(spellings).size);
  });
  test.each(IDS)('%s is read by every spelling of its own, and by what is printed', (id) => {
    // A bare K is a thousand ohms at a counter; kelvins are never printed here.
    if (id !== 'kelvin') expect(unitOf(UNITS[id].printed)).toBe(id);
    for (const spelling of UNITS[id].spellings) expect([spelling, unitOf(spelling)]).toEqual([spelling, id]);
  });
});
