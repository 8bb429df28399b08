import { describe, expect, test } from '@jest/globals';
import { sayRoute } from './say-route.ts';
import { testLead } from './test-lead.ts';

describe('a lead on the bench', () => {
  const asked = { low: 8, high: 12 };
  test.each([
    [{ kohm: 5, lengthMm: 500 }, 10, 'good'],
    [{ kohm: 4, lengthMm: 500 }, 8, 'good'],
    [{ kohm: 6, lengthMm: 500 }, 12, 'good'],
    [{ kohm: 3.9, lengthMm: 500 }, 7.8, 'too-little'],
    [{ kohm: 6.1, lengthMm: 500 }, 12.2, 'too-much'],
    [{ kohm: 5, lengthMm: 250 }, 20, 'too-much'],
  ] as const)('%j has %f kΩ a metre: %s', (measured, kohmPerM, verdict) => {
    expect(testLead(measured, asked)).toEqual({ kohmPerM: expect.closeTo(kohmPerM, 9), verdict });
  });
});

test('a lead goes to its cylinder, the coil’s own from coil to cap', () => {
  expect([sayRoute({ to: '3' }), sayRoute({ to: 'coil' })]).toEqual(['cylinder 3', 'coil to cap']);
});
