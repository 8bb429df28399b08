import { describe, expect, test } from '@jest/globals';
import { mixedUnderOneNumber, setIntegrity, type SetPiece } from './set-integrity.ts';

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
