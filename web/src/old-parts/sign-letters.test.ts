import { describe, expect, test } from '@jest/globals';
import { SIGN_IDS, SIGN_LINES, SIGNS } from '@brackenfell/core/old-parts/signs';
import { allNormal, answered, isRead, notLooked, optionsOf, sayPlug, unread } from './sign-letters.ts';

describe('the letters of a line', () => {
  test('are its own, from a on, and every sign has one', () => {
    for (const line of SIGN_LINES) {
      const letters = optionsOf(line).map(({ letter }) => letter);
      expect(letters).toEqual([...'abcdefgh'].slice(0, letters.length));
    }
    const reached = SIGN_LINES.flatMap((line) => optionsOf(line).flatMap(({ sign }) => sign ?? []));
    expect([...reached].sort()).toEqual([...SIGN_IDS].sort());
  });
  test('begin with what is as it should be, but for a deposit, which always has a name', () => {
    for (const line of SIGN_LINES) expect(optionsOf(line)[0]!.sign === undefined).toBe(line !== 'deposit');
  });
});

describe('a plug as it is read', () => {
  const plug = unread({ cylinder: 2 });
  test('knows a line that was looked at from one that was not', () => {
    expect([isRead(plug), sayPlug(plug)]).toEqual([false, 'not read']);
    const dry = answered(plug, 'wet', undefined);
    expect([dry.looked, dry.signs, sayPlug(dry)]).toEqual([['wet'], [], 'nothing odd on what was looked at']);
    expect(notLooked(dry, 'wet')).toEqual(plug);
  });
  test('takes two signs on a line, one off again by its own letter, and all off by what is usual', () => {
    const both = answered(answered(plug, 'deposit', 'blistered'), 'deposit', 'specks');
    expect(both.signs).toEqual(['blistered', 'specks']);
    expect(answered(both, 'deposit', 'blistered').signs).toEqual(['specks']);
    const oily = answered(answered(both, 'wet', 'oil-tip'), 'wet', undefined);
    expect([oily.signs, oily.looked]).toEqual([
      ['blistered', 'specks'],
      ['deposit', 'wet'],
    ]);
  });
  test('a sign taken off leaves its line not looked at: nobody said that it was as it should be', () => {
    const sooty = answered(plug, 'deposit', 'soot');
    expect(answered(sooty, 'deposit', 'soot')).toEqual(plug);
  });
  test('all as it should be is tan on every line, and keeps the gap that was read', () => {
    expect(allNormal({ ...plug, gapMm: 0.9 })).toEqual({
      cylinder: 2,
      looked: [...SIGN_LINES],
      signs: ['tan'],
      gapMm: 0.9,
    });
    expect(sayPlug(allNormal(plug))).toBe(SIGNS.tan.title);
  });
});
