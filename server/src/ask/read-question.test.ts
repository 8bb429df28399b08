import { describe, expect, test } from '@jest/globals';
import { readQuestion, remarkOn } from './read-question.ts';

const makers = new Map([
  ['hollin-bray', 'Hollin & Bray'],
  ['tamsel', 'Tamsel'],
]);

describe('a maker’s name in a question', () => {
  test.each([
    ['Tamsel 500 226', '500 226', ['tamsel']],
    ['500 226 tamsel', '500 226', ['tamsel']],
    ['hollin & bray 19/45', '19/45', ['hollin-bray']],
    ['hollin bray 19/45', '19/45', ['hollin-bray']],
    ['tamsel', 'tamsel', []], // nothing would be left to look up
    ['tamselle 500', 'tamselle 500', []],
    ['KN 419G', 'KN 419G', []],
  ])('%s', (question, number, named) => {
    expect(readQuestion(question, makers)).toEqual({ number, makers: named });
  });
});

describe('what is odd about a question', () => {
  test.each([
    ['2900004196302', /check digit should be \d; scan it again/],
    ['···', /no letter or digit/],
    ['?*', /no letter or digit|at least 2/],
    ['K*', /at least 2 characters/],
    ['A'.repeat(65), /Too long/],
  ])('%s', (question, says) => {
    expect(remarkOn(question)).toMatch(says);
  });

  test.each(['KN 419G-63DR', 'skerrow', 'KN 4?9'])('%s is not odd', (question) => {
    expect(remarkOn(question)).toBeNull();
  });
});
