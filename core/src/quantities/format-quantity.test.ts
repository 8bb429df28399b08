import { expect, test } from '@jest/globals';
import { formatQuantity, printTenths, systemOf } from './format-quantity.ts';

test.each([
  ['gap', 0.8128, 'metric', '0.81 mm'],
  ['gap', 0.8128, 'imperial', '32 thou'],
  ['gap', 0.8, 'both', '0.80 mm / 31 thou'],
  ['plug-torque', 24.4, 'metric', '24.5 N·m'],
  ['plug-torque', 24.4, 'imperial', '18 lbf·ft'],
  ['plug-torque', 12, 'imperial', '106 lbf·in'],
  ['reach', 19.04, 'metric', '19.0 mm'],
  ['reach', 19.05, 'imperial', '0.75 in'],
  ['distance', 60_000, 'metric', '60\u00a0000 km'],
  ['thread', 1.25, 'imperial', '1.25 mm'],
  ['thread', 14, 'both', '14 mm'],
  ['plug-resistor', 5000, 'both', '5.0 kΩ'],
  ['coil-primary', 0.456, 'imperial', '0.46 Ω'],
  ['coil-secondary', 12_340, 'metric', '12.3 kΩ'],
  ['lead-resistance', 4560, 'metric', '4.6 kΩ'],
  ['lead-length', 623.4, 'metric', '623 mm'],
  ['lead-length', 623.4, 'imperial', '24.5 in'],
  ['compression', 1034.2, 'both', '1\u00a0034 kPa / 150 psi'],
  ['boost', 55.4, 'both', '55 kPa / 8 psi'],
  ['temperature', 20.4, 'both', '20 °C / 69 °F'],
  ['fastener-torque', 20, 'imperial', '15 lbf·ft'],
  ['hex', 16, 'imperial', '0.63 in'],
  ['run', 1_234_567, 'metric', '1\u00a0234\u00a0567 km'],
  ['run', 999, 'metric', '999 km'],
  ['distance', 14, 'imperial', '8 miles'],
  ['distance', 16.1, 'imperial', '10 miles'],
] as const)('%s of %d in %s shows no more digits than it supports', (kind, base, display, printed) => {
  expect(formatQuantity(kind, base, base, display)).toBe(printed);
});

test('a range is printed once with its unit', () => {
  expect(formatQuantity('gap', 1, 1.1, 'metric')).toBe('1.00–1.10 mm');
});

test.each([
  ['gap', 0.65, 0.75, 'imperial', '26–29 thou'],
  ['gap', 1, 1.1, 'both', '1.00–1.10 mm / 40–43 thou'],
  ['gap', 0.74, 0.76, 'imperial', '29.2–29.9 thou'],
  ['gap', 0.745, 0.775, 'imperial', '30 thou only'],
  ['gap', 0.7112, 0.762, 'metric', '0.72–0.76 mm'],
  ['plug-torque', 15, 25, 'imperial', '12–18 lbf·ft'],
  ['distance', 140_000, 140_000, 'imperial', '86\u00a0000 miles'],
  ['distance', 100_000, 140_000, 'imperial', '62\u00a0000–86\u00a0000 miles'],
  // Too narrow for a hundredth of a thou: told in the sheet’s own unit.
  ['gap', 0.7501, 0.7502, 'imperial', '0.7501–0.7502 mm'],
] as const)(
  'limits of a %s from %d to %d are never widened by converting (%s)',
  (kind, low, high, display, printed) => {
    expect(formatQuantity(kind, low, high, display)).toBe(printed);
  },
);

test('a half goes away from zero, also where it has no exact binary form', () => {
  expect([21.15, 23.55, 31.05, -2.55].map((mm) => formatQuantity('length', mm, mm, 'metric'))).toEqual([
    '21.2 mm',
    '23.6 mm',
    '31.1 mm',
    '-2.6 mm',
  ]);
  expect(printTenths(-2.55)).toBe('2.6');
});

test('a bare figure of who reads both is metric', () => {
  expect((['metric', 'both', 'imperial'] as const).map(systemOf)).toEqual(['metric', 'metric', 'imperial']);
});

test('a limit that stands on a step stays there, on either side', () => {
  // 0.762 mm are 30 thou to the last digit.
  expect(formatQuantity('gap', 0.762, 0.8128, 'imperial')).toBe('30–32 thou');
  expect(formatQuantity('gap', 0.7621, 0.8127, 'imperial')).toBe('31 thou only');
});
