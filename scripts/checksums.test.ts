import { expect, test } from '@jest/globals';
import { rowsIn, unlike } from './checksums.ts';

test('a backup is what it was made of only where every table has as many rows, and the same ones', () => {
  const shop = { slip: { rows: 3, sum: '17' }, part: { rows: 2, sum: '5' } };
  expect(unlike(shop, structuredClone(shop))).toEqual([]);
  expect(unlike(shop, { ...shop, slip: { rows: 3, sum: '18' } })).toEqual(['slip']);
  expect(unlike(shop, { ...shop, slip: { rows: 2, sum: '17' } })).toEqual(['slip']);
  expect(unlike(shop, { part: shop.part })).toEqual(['slip']);
  expect(unlike(shop, { ...shop, price: { rows: 0, sum: '0' } })).toEqual(['price']);
  expect(rowsIn(shop)).toBe(5);
});
