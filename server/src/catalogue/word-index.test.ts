import { describe, expect, test } from '@jest/globals';
import { WordIndex } from './word-index.ts';

const engines = [
  'Skerrow SC20 2.0 four',
  'Skerrow SC20G 2.0 four, gas',
  'Ostrel OW12 1.2 three',
  'Pellworth PG66 5.7 gas',
];
const index = new WordIndex(engines, (engine) => engine);
const find = (words: string, most = 10) => index.find(words.split(' '), most);

describe('finding by the beginnings of words', () => {
  test.each([
    ['sc', [0, 1]],
    ['SKERROW gas', [1]],
    ['gas', [1, 3]],
    ['5.7', [3]],
    ['row', []], // a beginning, not a middle
    ['skerrow nothing', []],
  ])('%s', (words, found) => {
    expect(find(words)).toEqual(found.map((i) => engines[i]!));
  });

  test('keeps the order of the list, stops at the most asked for, and passes a test besides', () => {
    expect(find('s', 1)).toEqual([engines[0]]);
    expect(index.find(['s'], 10, (engine) => engine.includes('gas'))).toEqual([engines[1]]);
    expect(index.find([], 10)).toEqual([]);
  });
});
