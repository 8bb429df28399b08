import { expect, test } from '@jest/globals';
import { readGap } from './read-gap.ts';

const read = (address: string, units: 'metric' | 'imperial') => readGap(new URLSearchParams(address), units);
const THOU_28_TO_31 = { kind: 'read', low: expect.closeTo(0.7112, 6), high: expect.closeTo(0.7874, 6) };

test('the gap of an address is the same to who reads in thousandths and to who reads in millimetres', () => {
  for (const units of ['metric', 'imperial'] as const) {
    expect(read('gap=28-31', units)).toMatchObject(THOU_28_TO_31);
    expect(read('gap=0.7-0.8', units)).toMatchObject({ kind: 'read', low: 0.7, high: 0.8 });
    expect([read('gap=%20', units), read('', units)]).toEqual([undefined, undefined]);
  }
});
