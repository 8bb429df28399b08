import { describe, expect, test } from '@jest/globals';
import { asOne, oneOf, readPence, readPlain } from './plain-figure.ts';
import { readQuantity } from './read-quantity.ts';

describe('a plain figure that is typed', () => {
  test.each([
    ['37.60', 3760],
    ['£45', 4500],
    ['0', 0],
    ['0,5', 50],
  ])('%s is so many pence', (text, pence) => expect(oneOf(readPence(text))).toBe(pence));
  test.each(['much', '-3', '20-30', '1/0'])('%s is no amount, and says what one looks like', (text) =>
    expect(readPence(text)).toMatchObject({ kind: 'unreadable', why: expect.stringContaining('37.60') }),
  );
  test('nothing typed is nothing wrong', () => expect(readPlain('  ', 'A length.')).toBeUndefined());
  test('a length is as long as its least', () =>
    expect([readPlain('0', 'A length.', 1)?.kind, readPlain('620', 'A length.', 1)?.kind]).toEqual([
      'unreadable',
      'plain',
    ]));
});

test('where one figure is wanted a range is told, and so is nothing', () => {
  expect(asOne(readQuantity('60 000 km', 'distance'))).toMatchObject({ kind: 'read', low: 60_000 });
  expect(asOne(readQuantity('40 000-60 000 km', 'distance'))).toMatchObject({
    kind: 'unreadable',
    why: expect.stringMatching(/range/),
  });
  expect(asOne(readQuantity('0 km', 'distance'), true)).toMatchObject({ kind: 'unreadable' });
  expect(asOne(undefined)).toBeUndefined();
});

test('more than nothing is asked only where it is said to be', () => {
  expect(asOne(readQuantity('0 km', 'distance'))).toMatchObject({ kind: 'read', low: 0 });
  expect(asOne(readQuantity('5 km', 'distance'), true)).toMatchObject({ kind: 'read', low: 5 });
  expect(asOne(readQuantity('much', 'distance'), true)).toMatchObject({ kind: 'unreadable' });
});

test('the one figure is what was read, as plain or with a unit, and none where none was', () => {
  expect(oneOf(readQuantity('5 km', 'distance'))).toBe(5);
  expect(oneOf({ kind: 'plain', value: 7 })).toBe(7);
  expect(oneOf(readQuantity('much', 'distance'))).toBeUndefined();
  expect(oneOf(undefined)).toBeUndefined();
  expect(readPence('')).toBeUndefined();
  expect(readPlain('OL', 'A length.')?.kind).toBe('unreadable');
});
