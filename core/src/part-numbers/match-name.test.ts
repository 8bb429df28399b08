import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { foldKey } from './fold-key.ts';
import { askedNumber, matchName, rankNames, tellMatch } from './match-name.ts';
import { normalForm } from './normal-form.ts';
import { deletionsOf, nameHash, neighbourKeys, oneEdit } from './one-edit.ts';
import { answersTo, fillAllButOne, FOLDED_ALPHABET, likeOf, readWildcards } from './wildcard.ts';

const stored = (printed: string, partId = printed) => ({
  partId,
  printed,
  normal: normalForm(printed),
  fold: foldKey(printed),
});
const number = fc.string({
  unit: fc.constantFrom(...'0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ'),
  minLength: 4,
  maxLength: 12,
});

describe('one edit between a typed and a stored number', () => {
  test.each([
    ['KN49G', 'KN419G', 'missing'],
    ['KN4419G', 'KN419G', 'extra'],
    ['KN4X9G', 'KN419G', 'wrong'],
    ['KN491G', 'KN419G', 'swapped'],
  ])('%s for %s is one character %s', (typed, name, kind) => {
    expect(oneEdit(foldKey(typed), foldKey(name))?.kind).toBe(kind);
  });

  test('two edits are not one, and equal numbers need none', () => {
    expect(oneEdit('AB', 'CX')).toBeUndefined();
    expect(oneEdit('AB', 'AB')).toBeUndefined();
  });

  test.each(['17', '4A', '49', '38', 'CG', 'EF', 'PR'])('%s resemble weakly, so that slip is the cheaper', ([a, b]) => {
    const weak = oneEdit(foldKey(`XX${a!}X`), foldKey(`XX${b!}X`));
    expect(weak!.cost).toBeLessThan(oneEdit(foldKey(`XX${a!}X`), foldKey('XXWX'))!.cost);
  });

  test('whatever the slip, question and name share a neighbourhood key', () => {
    fc.assert(
      fc.property(number, fc.nat(), fc.constantFrom(...'WX73'), (name, place, other) => {
        const fold = foldKey(name);
        const at = place % fold.length;
        const slips = [
          fold.slice(0, at) + fold.slice(at + 1),
          fold.slice(0, at) + other + fold.slice(at),
          fold.slice(0, at) + other + fold.slice(at + 1),
          at > 0 ? fold.slice(0, at - 1) + fold[at]! + fold[at - 1]! + fold.slice(at + 1) : fold,
        ];
        const filed = new Set(neighbourKeys(fold));
        for (const slip of slips) expect(neighbourKeys(slip).some((key) => filed.has(key))).toBe(true);
      }),
    );
  });

  test('a key is a whole number that the database and the language both hold exactly', () => {
    fc.assert(fc.property(number, (name) => expect(Number.isSafeInteger(nameHash(name))).toBe(true)));
    expect(deletionsOf('AAB')).toEqual(['AB', 'AA']);
  });
});

describe('illegible characters', () => {
  test.each([
    ['KN4?9G', 'KN419G', true],
    ['KN4?9G', 'KN49G', false],
    ['KN*G', 'KN419G', true],
    ['KN*G', 'KNG', true], // a run may be empty
    ['*DR', 'KN419G63DR', true],
    ['K*4*G', 'KN419G', true],
    ['K*7*G', 'KN419G', false],
  ])('%s against %s: %s', (pattern, name, answers) => {
    expect(answersTo(pattern, name)).toBe(answers);
  });

  test('are read with the separators dropped around them, and as LIKE without its own signs let through', () => {
    expect(readWildcards('kn 4?9g-6*')).toMatchObject({ normal: 'KN4?9G6*', hasRun: true, known: 6 });
    expect(readWildcards('kn 419g')).toBeUndefined();
    expect(likeOf('A%_?*')).toBe(String.raw`A\%\__%`);
  });

  test('two signs are filled in one by one until a single one is left', () => {
    const filled = fillAllButOne('A?B?', FOLDED_ALPHABET, 64)!;
    expect(filled).toHaveLength(FOLDED_ALPHABET.length);
    expect(filled.every((text) => [...text].filter((ch) => ch === '?').length === 1)).toBe(true);
    expect(fillAllButOne('????', FOLDED_ALPHABET, 64)).toBeUndefined();
  });
});

describe('the order of answers', () => {
  test('is exact, look-alikes, then completions and slips by turns, each part once', () => {
    const names = ['KN 419', 'KN 4I9', 'KN 4195', 'KN 41977', 'KN 479', 'KN 4I9'].map((n) => stored(n));
    const ranked = rankNames(askedNumber('kn419'), names);
    expect(ranked.map(({ name, match }) => [name.printed, match.stage])).toEqual([
      ['KN 419', 'exact'],
      ['KN 4I9', 'fold'],
      ['KN 479', 'one-edit'],
      ['KN 4195', 'prefix'],
      ['KN 41977', 'prefix'],
    ]);
  });

  test('too short a question is neither completed nor mended', () => {
    expect(matchName(askedNumber('K'), stored('KN 419'))).toBeUndefined();
    expect(matchName(askedNumber('KN4'), stored('KN 5'))).toBeUndefined();
  });

  test('what was read otherwise is told with its place in print', () => {
    const asked = askedNumber('KN 491G-63DR');
    const match = matchName(asked, stored('KN 419G-63DR'))!;
    expect(tellMatch(asked, 'KN 419G-63DR', match)).toEqual({ how: '19 the other way round', differs: [4, 5] });
  });
});

describe('a sign that a maker’s numbers are told apart by', () => {
  const signed = (printed: string) => ({ normal: normalForm(printed, '+'), fold: foldKey(printed, '+') });
  const match = (typed: string, name: { normal: string; fold: string }) => matchName(askedNumber(typed, '+'), name);
  test('is asked for as it was typed, and finds that number before its twin', () => {
    expect(match('ZZ 19+45', signed('ZZ-19+45'))).toEqual({ stage: 'exact', distance: 0 });
    expect(match('ZZ 19+45', signed('ZZ-1945'))).toEqual({ stage: 'exact', distance: 0 });
    expect(match('ZZ 1945', signed('ZZ-19+45'))!.stage).toBe('one-edit');
  });
  test('is read through look-alikes with the rest', () => {
    expect(match('ZZ I9+4S', signed('ZZ-19+45'))).toMatchObject({ stage: 'fold' });
  });
  test('that nobody declares is a separator like any other', () => {
    expect(matchName(askedNumber('ZZ 19+45'), stored('ZZ 1945'))).toEqual({ stage: 'exact', distance: 0 });
  });
});
