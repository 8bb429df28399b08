import { expect, test } from '@jest/globals';
import { formatQuantity, printTenths } from './format-quantity.ts';

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
  ['plug-resistor', 5000, 'both', '5.0 kΩ'],
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
