import { describe, expect, test } from '@jest/globals';
import { numberAgainstPart, type NumberBearer } from './number-against-part.ts';

const PART = { partId: '70', names: ['KN 419G-63DR', '8 002 114'] };

const OTHER: NumberBearer = { partId: '71', printed: 'KN 419G-61DR', maker: 'Kestrane', revision: null };

const OWN: NumberBearer = { partId: '70', printed: 'KN 419G-63DR', maker: 'Kestrane', revision: null };

describe('a number read from a piece', () => {
  const read = (
    printed: string,
    bearers: readonly NumberBearer[] | undefined = [],
    place: 'box' | 'stamping' = 'box',
  ) => numberAgainstPart(place, printed, PART, bearers);

  test('agrees however it is spaced, by any of the part’s names', () => {
    for (const printed of ['KN 419G-63DR', 'kn419g63dr', 'KN-419G 63DR', '8002114'])
      expect(read(printed)).toMatchObject({ outcome: 'agrees', says: 'The number of this part.' });
  });
  test('is part of a longer one only where it is stamped, and long enough', () => {
    expect(read('419G', [], 'stamping')).toMatchObject({ outcome: 'agrees', says: 'Part of this part’s number.' });
    expect(read('419G', [], 'box').outcome).toBe('not-known');
    expect(read('419', [], 'stamping').outcome).toBe('not-known');
  });
  test('of another part contradicts, and says whose it is', () => {
    expect(read('KN 419G-61DR', [OTHER])).toMatchObject({
      outcome: 'contradicts',
      says: 'The number of KN 419G-61DR, Kestrane.',
    });
  });
  test('that this part bears as well as another is its own', () => {
    expect(read('KN SHARED 9', [OTHER, OWN]).outcome).toBe('agrees');
  });
  test('through look-alikes is worn, never another’s', () => {
    expect(read('KN 4I9G-63DR').outcome).toBe('worn');
    expect(read('KN 4I9G-63DR', [OTHER]).outcome).toBe('contradicts');
  });
  test('says nothing while it is not looked up, where nobody has it, or where nothing is legible', () => {
    expect(read('XX 1', undefined).says).toBe('No part here has this number.');
    expect(numberAgainstPart('box', 'XX 1', PART, undefined)).toMatchObject({
      outcome: 'not-known',
      says: 'Not looked up yet.',
    });
    expect(read('- . -')).toMatchObject({ outcome: 'not-known', says: 'Nothing legible.' });
  });
});
