import { expect, test } from '@jest/globals';
import { ADDRESSES } from './addresses.ts';
import { ENDPOINTS } from './endpoints.ts';

test('every address is an endpoint’s, and every endpoint stands under the name its address has', () => {
  expect(Object.keys(ENDPOINTS).sort()).toEqual(Object.keys(ADDRESSES).sort());
  for (const [name, { method, path }] of Object.entries(ENDPOINTS))
    expect([name, method, path]).toEqual([name, ...ADDRESSES[name as keyof typeof ADDRESSES]]);
});

test('no two endpoints answer at one address', () => {
  const at = Object.values(ADDRESSES).map(([method, path]) => `${method} ${path.replaceAll(/:\w+/g, ':')}`);
  expect(at).toHaveLength(new Set(at).size);
});
