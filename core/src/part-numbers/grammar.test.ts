import { describe, expect, test } from '@jest/globals';
import { decodeNumber, mismatches, type NumberGrammar } from './grammar.ts';

const scheme: NumberGrammar = {
  maker: 'kestrane',
  title: 'a scheme',
  significant: '+',
  fields: [
    {
      id: 'maker',
      title: 'Maker',
      of: 'letters',
      least: 1,
      most: 2,
      means: { kind: 'constant', text: 'KN', says: 'Kestrane' },
    },
    {
      id: 'reach',
      title: 'Reach',
      of: 'digits',
      least: 2,
      most: 2,
      means: { kind: 'cut-off', fact: 'plug.reachMm', unitMm: 1, says: 'reach # mm' },
    },
    {
      id: 'seat',
      title: 'Seat',
      of: 'letters',
      least: 1,
      most: 1,
      means: { kind: 'codes', codes: { G: { says: 'gasket', facts: [{ fact: 'plug.seat', code: 'gasket' }] } } },
    },
    { id: 'heat', title: 'Heat', of: 'digits', least: 2, most: 2, means: { kind: 'rating', maker: 'kestrane' } },
  ],
};
const fields = (printed: string) => {
  const decoded = decodeNumber(printed, scheme);
  return decoded.kind === 'decoded' ? decoded.fields : [];
};

describe('a number read by its maker’s scheme', () => {
  test('is explained position by position, where it stands in print', () => {
    expect(
      fields('KN 12G-63').map(({ code, printedFrom, printedTo, says }) => [code, printedFrom, printedTo, says]),
    ).toEqual([
      ['KN', 0, 2, 'Kestrane'],
      ['12', 3, 5, 'reach 12 mm'],
      ['G', 5, 6, 'gasket'],
      ['63', 7, 9, 'heat rating 63'],
    ]);
  });

  test('of another form is not of this scheme, and an unknown letter is said to be unknown', () => {
    expect(decodeNumber('TS 500 226', scheme).kind).toBe('not-of-this-scheme');
    expect(fields('KN 12Q-63')[2]).toMatchObject({ known: false, says: 'Q is not in the scheme’s table' });
  });

  test('a cut-off reach covers 12.7 mm, and contradicts 19 mm; “gasket” covers both kinds of gasket', () => {
    const decoded = decodeNumber('KN 12G-63', scheme);
    const figure = (fact: string, more: object) => ({ fact, source: 'catalogue', ...more });
    expect(
      mismatches(decoded, [
        figure('plug.reachMm', { low: 12.7, high: 12.7 }),
        figure('plug.seat', { code: 'gasket-loose' }),
      ]),
    ).toEqual([]);
    expect(
      mismatches(decoded, [
        figure('plug.reachMm', { low: 19, high: 19 }),
        figure('plug.heat', { code: 'kestrane:61' }),
      ]).map(({ field }) => field),
    ).toEqual(['Reach', 'Heat']);
  });
});
