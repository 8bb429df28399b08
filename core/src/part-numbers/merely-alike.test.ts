import { describe, expect, test } from '@jest/globals';
import { askedNumber, rankNames } from './match-name.ts';
import { foldKey } from './fold-key.ts';
import { isWorthAlike } from './merely-alike.ts';
import { normalForm } from './normal-form.ts';

const shelf = ['HX 426G-63', 'HX 428G-63', 'HX 429G-63', 'QT 77 412'].map((printed, i) => ({
  partId: String(i),
  normal: normalForm(printed),
  fold: foldKey(printed),
}));
const isWorth = (typed: string): boolean => {
  const asked = askedNumber(typed);
  return isWorthAlike(asked, rankNames(asked, shelf));
};

describe('numbers that are merely alike are looked for', () => {
  test('where nothing answers, and where only one or two are a slip away', () => {
    expect(isWorth('ZZ 9911')).toBe(true);
    expect(isWorth('QT 77 413')).toBe(true);
  });

  test('not where three are a slip away', () => {
    expect(isWorth('HX 427G-63')).toBe(false);
  });

  test('not after a number as written, nor one that begins so', () => {
    expect(isWorth('QT 77 412')).toBe(false);
    expect(isWorth('QT 77 4')).toBe(false);
  });

  test('but after one that was only read through look-alikes', () => {
    expect(isWorth('QT 77 4I2')).toBe(true);
  });

  test('not for fewer than five signs, nor for a question with illegible ones', () => {
    expect(isWorth('ZZ 99')).toBe(false);
    expect(isWorth('ZZ 991')).toBe(true);
    expect(isWorth('ZZ 99?1')).toBe(false);
  });
});
