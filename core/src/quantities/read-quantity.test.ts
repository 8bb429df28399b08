import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseFigure } from './parse-figure.ts';
import { bootAngleQuestion, printedPairAgrees, readQuantity, type ReadOptions } from './read-quantity.ts';
import type { QuantityKind } from './plausible-ranges.ts';
import { fromBase, toBase, UNITS, type UnitId } from './units.ts';
import { runs } from '../testing/runs.ts';

const read = (text: string, kind: QuantityKind, options?: ReadOptions) => {
  const reading = readQuantity(text, kind, options);
  return reading.kind === 'read' ? [Number(reading.low.toFixed(4)), Number(reading.high.toFixed(4))] : reading.kind;
};

describe('what people type at the counter', () => {
  test.each<[string, QuantityKind, number, number]>([
    ['0.8', 'gap', 0.8, 0.8],
    ['0,8 mm', 'gap', 0.8, 0.8],
    ['.028-.030"', 'gap', 0.7112, 0.762],
    ['0.039–0.043 in', 'gap', 0.9906, 1.0922],
    ['32 thou', 'gap', 0.8128, 0.8128],
    ['1 - 1.1mm', 'gap', 1, 1.1],
    ['0.8 ±0.05', 'gap', 0.75, 0.85],
    ['0.8 +0.1/-0.05 mm', 'gap', 0.75, 0.9],
    ['0.8 mm ±10%', 'gap', 0.72, 0.88],
    ['25 Nm', 'plug-torque', 25, 25],
    ['18 ft-lb', 'plug-torque', 24.4047, 24.4047],
    ['80 in lb', 'plug-torque', 9.0388, 9.0388],
    ['2.5 kgf·m', 'plug-torque', 24.5166, 24.5166],
    ['13/16"', 'hex', 20.6375, 20.6375],
    ['5/8 in', 'hex', 15.875, 15.875],
    ['1 1/16 in', 'hex', 26.9875, 26.9875],
    ['150 psi', 'compression', 1034.2136, 1034.2136],
    ['-20 °C', 'temperature', -20, -20],
    ['68 °F', 'temperature', 20, 20],
    ['5k', 'plug-resistor', 5000, 5000],
    ['１９．０ mm', 'reach', 19, 19],
    ['120 000 km', 'distance', 120_000, 120_000],
    ['120,000 km', 'distance', 120_000, 120_000],
    ['90.000 km', 'distance', 90_000, 90_000],
    ['0.028″–0.030″', 'gap', 0.7112, 0.762],
    ["0.030''", 'gap', 0.762, 0.762],
    ['13⁄16″', 'hex', 20.6375, 20.6375],
    ['⅝ in', 'hex', 15.875, 15.875],
    ['1¼″', 'reach', 31.75, 31.75],
    ['0.7‑0.8 mm', 'gap', 0.7, 0.8],
    ['0.8 +/- 0.05 mm', 'gap', 0.75, 0.85],
    ['20 ºC', 'temperature', 20, 20],
    ['293.15 kelvin', 'temperature', 20, 20],
    ['25 newton metres', 'plug-torque', 25, 25],
    ['18 pound feet', 'plug-torque', 24.4047, 24.4047],
    ['18 ft/lb', 'plug-torque', 24.4047, 24.4047],
    ['1.9 cm', 'reach', 19, 19],
    ['800 µm', 'gap', 0.8, 0.8],
    ['1.2 MPa', 'compression', 1200, 1200],
    ['150 lbf/in²', 'compression', 1034.2136, 1034.2136],
    ['0.7 mm - 0.8 mm', 'gap', 0.7, 0.8],
  ])('%s as a %s', (text, kind, low, high) => {
    expect(read(text, kind)).toEqual([low, high]);
  });

  test('no continuity is a state, not a number', () => {
    expect(readQuantity('OL', 'coil-primary').kind).toBe('open');
  });

  test.each([
    '',
    'gap',
    '1..2',
    '1.1-0.9 mm',
    '5 mm - 6 in',
    '3/0',
    '0.8 furlongs',
    '9'.repeat(80),
    '１２３４'.repeat(40),
    '<script>',
  ])('%p is not a figure, with a reason', (text) => {
    const reading = readQuantity(text, 'gap');
    expect(reading.kind).toBe('unreadable');
    expect(reading.kind === 'unreadable' && reading.why).toMatch(/\.$/);
  });
});

describe('the unit-slip guard', () => {
  const asked = (text: string, kind: QuantityKind, options?: ReadOptions) => {
    const reading = readQuantity(text, kind, options);
    return reading.kind === 'asked' ? reading.question : reading.kind;
  };

  test('a bare figure in another unit is read as the one plausible thing and said aloud', () => {
    expect(readQuantity('35', 'gap')).toMatchObject({ kind: 'read', unit: 'thou', said: 'Read as 35 thou.' });
    expect(readQuantity('35,000', 'gap')).toMatchObject({ kind: 'read', unit: 'thou' });
    expect(readQuantity('0.8', 'gap', { system: 'imperial' })).toMatchObject({ unit: 'mm', said: 'Read as 0.80 mm.' });
  });

  test('a written unit that makes it implausible is asked back with the likely readings', () => {
    expect(asked('0.8 in', 'gap')).toMatch(/Did you mean 0\.80 mm\?/);
    expect(asked('35 mm', 'gap')).toMatch(/35 thou/);
    expect(asked('14 mm', 'plug-torque')).toMatch(/does not measure a plug torque.*14\.0 N·m/);
  });

  test('a likely reading that is still too much for the thread says so', () => {
    expect(asked('25 ft-lb', 'plug-torque', { context: { threadMm: 10 } })).toMatch(
      /25\.0 N·m, still outside 6\.0–22\.5 N·m/,
    );
    expect(read('20 ft-lb', 'plug-torque', { context: { threadMm: 14, seat: 'gasket' } })).toEqual([27.1164, 27.1164]);
  });

  test('what is read in the reader’s own unit is read without a word more', () => {
    expect(readQuantity('0.8', 'gap')).toStrictEqual({ kind: 'read', low: 0.8, high: 0.8, unit: 'mm' });
    expect(readQuantity('25 Nm', 'plug-torque')).toStrictEqual({ kind: 'read', low: 25, high: 25, unit: 'nm' });
    expect(readQuantity('25', 'plug-torque')).toStrictEqual({ kind: 'read', low: 25, high: 25, unit: 'nm' });
  });

  test('where no unit makes it likely the usual is told, and a bare figure in the reader’s own units', () => {
    expect(asked(' 900 Nm ', 'plug-torque')).toBe('900 Nm is not a usual plug torque. Usual is 4.0–75.0 N·m.');
    expect(asked(' 900 ', 'plug-torque')).toBe(
      '900 has no unit and is not a usual plug torque as it stands. Did you mean 900.0 N·m, still outside 4.0–75.0 N·m?',
    );
    const many = readQuantity('0.001', 'plug-torque', { system: 'imperial' });
    expect(many.kind === 'asked' && many.likely.map(({ unit }) => unit)).toEqual(['lbfFt', 'lbfIn']);
  });

  test('a range that begins at nothing is no reading of nothing', () => {
    expect(asked('0-0.8 mm', 'gap')).toMatch(/not a usual gap/);
    expect(asked('-0.8-0 mm', 'gap')).toMatch(/not a usual gap/);
  });

  test('a thousand kilometres with a mark are a thousand', () => {
    expect(read('1.000 km', 'distance')).toEqual([1000, 1000]);
    expect(read('999 km', 'distance')).toEqual([999, 999]);
  });

  test('two plausible readings are asked, never chosen', () => {
    expect(readQuantity('1,000', 'compression').kind).toBe('asked');
    expect(readQuantity('1.000', 'compression').kind).toBe('asked');
  });

  test.each<[string, QuantityKind, RegExp]>([
    ['0.8 kV', 'gap', /kV does not measure a gap.*0\.80 mm/],
    ['2.5 kg', 'plug-torque', /kg does not measure a plug torque/],
    ['15 lb', 'plug-torque', /lb does not measure a plug torque.*15\.0 N·m or 15 lbf·ft/],
    ['180 lb', 'compression', /lb does not measure a compression.*180 psi/],
  ])('%s for a %s is asked, with the likely readings', (text, kind, question) => {
    expect(asked(text, kind)).toMatch(question);
  });

  test('a reach that is told and equals a thread is asked; one that is measured is read', () => {
    expect(asked('14 mm', 'reach', { told: true })).toMatch(/is it the length from the seat/);
    expect(readQuantity('19 mm', 'reach', { told: true }).kind).toBe('read');
    expect(readQuantity('14 mm', 'reach').kind).toBe('read');
    expect(readQuantity('14-15 mm', 'reach', { told: true }).kind).toBe('read');
    expect(readQuantity('14 mm', 'hex', { told: true }).kind).toBe('read');
    expect(readQuantity('14 mm', 'reach', { told: true })).toMatchObject({ likely: [] });
  });

  test('a bare plug resistor is kilohms, and said aloud; a tolerance keeps its nominal', () => {
    expect(readQuantity('5', 'plug-resistor')).toMatchObject({ kind: 'read', low: 5000, said: 'Read as 5.0 kΩ.' });
    expect(readQuantity('0.8 +0.1/-0.05 mm', 'gap')).toMatchObject({ nominal: 0.8 });
  });

  test('a torque is held against the column of the head’s own metal', () => {
    const iron = { context: { threadMm: 14, seat: 'gasket', headMetal: 'cast-iron' } } as const;
    const aluminium = { context: { threadMm: 14, seat: 'gasket', headMetal: 'aluminium' } } as const;
    expect(readQuantity('50 Nm', 'plug-torque', iron).kind).toBe('read');
    expect(readQuantity('50 Nm', 'plug-torque', aluminium).kind).toBe('asked');
  });

  test('zero is a reading, never a specification', () => {
    expect(readQuantity('0', 'gap').kind).toBe('read');
    expect(readQuantity('0 mm', 'gap', { as: 'specification' }).kind).toBe('asked');
  });

  test.each<[QuantityKind, string, string]>([
    ['gap', '2.2 mm', '2.21 mm'],
    ['gap', '0.2 mm', '0.19 mm'],
    ['reach', '45 mm', '45.1 mm'],
    ['reach', '8 mm', '7.9 mm'],
    ['hex', '27 mm', '27.1 mm'],
    ['plug-torque', '75 Nm', '76 Nm'],
    ['plug-torque', '4 Nm', '3.9 Nm'],
    ['fastener-torque', '150 Nm', '151 Nm'],
    ['plug-resistor', '20 k', '20.1 k'],
    ['coil-primary', '6 ohm', '6.1 ohm'],
    ['coil-secondary', '60 kohm', '61 kohm'],
    ['lead-resistance', '40 kohm', '41 kohm'],
    ['compression', '3000 kPa', '3001 kPa'],
    ['boost', '400 kPa', '401 kPa'],
    ['temperature', '200 °C', '201 °C'],
    ['distance', '2000000 km', '2000001 km'],
  ])('%s: %s is plausible, %s is asked', (kind, inside, outside) => {
    expect(readQuantity(inside, kind).kind).toBe('read');
    expect(readQuantity(outside, kind).kind).toBe('asked');
  });

  test('45° and 135° are one bend told two ways', () => {
    expect([45, 135, 90, 180].map((angle) => bootAngleQuestion(angle) !== undefined)).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });
});

describe('a converted pair printed side by side', () => {
  test.each([
    ['25 N·m', '25 lbf·ft', false],
    ['25 N·m', '18 lbf·ft', true],
    ['10 N·m', '7 lbf·ft', true],
    ['1.1 mm', '0.043 in', true],
    ['1.1 mm', '0.053 in', false],
    ['16 mm', '5/8 in', true],
    ['0.66 mm', '27 thou', false],
    ['20 °C', '68 °F', true],
    ['20 °C', '70 °F', false],
    ['20 mm', '20 N·m', undefined],
    ['OL', '20 mm', undefined],
    ['20 mm', 'OL', undefined],
    ['20', '20 mm', undefined],
    ['20 mm', '20', undefined],
  ])('%s beside %s', (one, other, agrees) => {
    expect(printedPairAgrees(one, other)).toBe(agrees);
  });
});

test('a pair of limits rounded inward agrees, one rounded outward or in the wrong unit does not', () => {
  expect(printedPairAgrees('0.65–0.75 mm', '26–29 thou', 'limits')).toBe(true);
  expect(printedPairAgrees('0.65–0.75 mm', '25–31 thou', 'limits')).toBe(false);
  expect(printedPairAgrees('25 N·m', '25 lbf·ft', 'limits')).toBe(false);
  // Inward by a step of the coarser unit and half a step as written, no more: 27 thou are 0.686 mm, 28 are 0.711.
  expect(printedPairAgrees('0.66–0.74 mm', '27–28 thou', 'limits')).toBe(true);
  expect(printedPairAgrees('0.65–0.74 mm', '27–28 thou', 'limits')).toBe(false);
  expect(printedPairAgrees('0.66–0.75 mm', '27–28 thou', 'limits')).toBe(false);
});

describe('conversion', () => {
  test('there and back gives the figure for every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(UNITS) as UnitId[])),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (unit, value) => {
          expect(fromBase(toBase(value, unit), unit)).toBeCloseTo(value, 6);
        },
      ),
    );
  });

  test('no text makes the reader throw, and what it reads has its ends in order', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 80 }), fc.stringMatching(/^[\d.,\-±/ ]{0,12}(mm|in|thou|")?$/)),
        (text) => {
          const parsed = parseFigure(text);
          if (parsed.kind === 'figure') for (const way of parsed.ways) expect(way.low).toBeLessThanOrEqual(way.high);
        },
      ),
      { numRuns: runs(500) },
    );
  });
});
