import { expect, test } from '@jest/globals';
import { mayBePlate, splitVehicle } from './plate.ts';

test.each(['SD-4471', 'sd4471', 'CW 1120', 'AB12 CDE'])('%s may be a plate and is offered to the register', (text) => {
  expect(mayBePlate(text)).toBe(true);
});

test.each([
  '',
  'sc20',
  '04201',
  'KN 419G-63DR',
  'TS 500 226',
  'merrin',
  '9300675024990',
  'm14 reach 19',
  '?',
  'AK/2020-301',
])('“%s” is none', (text) => {
  expect(mayBePlate(text)).toBe(false);
});

test.each([
  ['Aldersyke Merrin 2.2, built 2019, CW-1914', { plate: 'CW-1914', called: 'Aldersyke Merrin 2.2, built 2019' }],
  ['cw-1914', { plate: 'CW-1914', called: '' }],
  ['bus 7', { plate: '', called: 'bus 7' }],
  ['', { plate: '', called: '' }],
])('“%s” is taken apart into plate and name', (text, parts) => expect(splitVehicle(text)).toEqual(parts));
