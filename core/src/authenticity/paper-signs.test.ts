import { describe, expect, test } from '@jest/globals';
import { numberAgainstPart, type NumberBearer } from './number-against-part.ts';
import { LEAST_PRICES, median, readPrice } from './price.ts';
import { mixedUnderOneNumber, setIntegrity, type SetPiece } from './set-integrity.ts';

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

describe('a price', () => {
  test('is not judged by fewer than five', () => {
    expect(readPrice(1, [100, 100, 100, 100])).toEqual({
      kind: 'too-few-prices',
      medianMinor: null,
      below: null,
      robustZ: null,
    });
    expect(
      readPrice(
        1,
        Array.from({ length: LEAST_PRICES }, () => 100),
      ).kind,
    ).toBe('far-below');
  });
  test('is held to the middle one, which an odd one does not move', () => {
    expect([median([3, 1, 2]), median([4, 1, 2, 3]), median([100, 102, 98, 101, 5000])]).toEqual([2, 2.5, 101]);
  });
  test('that never moved may lie a fifth below before it counts', () => {
    const usual = [1000, 1000, 1000, 1000, 1000];
    expect(readPrice(800, usual)).toEqual({
      kind: 'far-below',
      medianMinor: 1000,
      below: expect.closeTo(0.2, 9),
      robustZ: -20,
    });
    expect(readPrice(801, usual).kind).toBe('usual');
    expect(readPrice(2000, usual)).toMatchObject({ kind: 'usual', below: -1 });
  });
  test('that moves much is not far below at a fifth: it must also stand out', () => {
    const scattered = [600, 800, 1000, 1200, 1400];
    expect(readPrice(750, scattered)).toMatchObject({ kind: 'usual', below: 0.25 });
    // Its median deviation is 200, times 1.4826.
    expect(readPrice(0, scattered).robustZ).toBeCloseTo(-1000 / 296.52, 6);
  });
});

describe('a set', () => {
  const piece = (label: string, more: Partial<SetPiece> = {}): SetPiece => ({
    label,
    number: 'KN 1',
    maker: 'Kestrane',
    ...more,
  });
  const says = (pieces: readonly SetPiece[], asked?: number) =>
    setIntegrity(pieces, asked).map(({ what, blocks, says: words }) => `${what}${blocks ? ' blocks' : ''}: ${words}`);

  test('is whole where all is the same and all are here', () => {
    expect(
      says(
        ['A', 'B', 'C', 'D'].map((label) => piece(label)),
        4,
      ),
    ).toEqual([]);
    expect(says([piece('A'), piece('B')])).toEqual([]);
  });
  test('that is short is told; nobody is held up by it', () => {
    expect(says([piece('A'), piece('B')], 4)).toEqual(['count: 2 of the 4 asked are here.']);
  });
  test('with a stranger among them does not leave as one', () => {
    expect(says([piece('A'), piece('B'), piece('C', { maker: 'Ivorix' })])).toEqual([
      'maker blocks: Piece C is of another maker than Kestrane.',
    ]);
    expect(
      says([piece('A'), piece('B'), piece('C'), piece('D', { number: 'KN 2' }), piece('E', { number: 'KN 2' })]),
    ).toEqual(['number blocks: Pieces D and E are of another number than KN 1.']);
  });
  test('of which no two are alike has no usual one to hold to', () => {
    expect(says([piece('A', { number: 'KN 1' }), piece('B', { number: 'KN 2' })])).toEqual([
      'number blocks: No number is shared by most of them.',
    ]);
  });
  test('of two batches is told and goes', () => {
    const of = (label: string, batch: string) => piece(label, { batch });
    expect(says([of('A', 'K4'), of('B', 'K4'), of('C', 'K5')])).toEqual([
      'batch: Piece C is of another batch than K4.',
    ]);
  });
  test('read of some alone stays open; of none it is not asked', () => {
    expect(says([piece('A'), piece('B'), piece('C', { number: undefined })])).toEqual([
      'unread: The number of piece C is not known: whether the set is one stays open.',
    ]);
    const bare = (label: string): SetPiece => ({ label });
    expect(says([bare('A'), bare('B')])).toEqual([]);
  });
});

describe('a delivery', () => {
  const line = (orderedUnder: string, maker: string) => ({ orderedUnder, printed: 'KN 1', maker });
  test('that fills one ordered number with two makers’ parts says so, makers in order', () => {
    expect(
      mixedUnderOneNumber([line('8 002 114', 'Kestrane'), line('8 002 114', 'Ivorix'), line('8 002 115', 'Ivorix')]),
    ).toEqual([{ orderedUnder: '8 002 114', makers: ['Ivorix', 'Kestrane'] }]);
  });
  test('ordered under no number, or of one maker, is not mixed', () => {
    expect(
      mixedUnderOneNumber([line('', 'Kestrane'), line('', 'Ivorix'), line('1', 'Ivorix'), line('1', 'Ivorix')]),
    ).toEqual([]);
  });
});
