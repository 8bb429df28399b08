import { expect, test } from '@jest/globals';
import { sayIn } from './say.ts';

test.each([
  [1.5, '+1.5 mm'],
  [-1.5, '−1.5 mm'],
  [0, '+0.0 mm'],
])('a difference of %d mm is told with its sign: %s', (differenceMm, says) => {
  expect(sayIn('metric').signed('length', differenceMm)).toBe(says);
});

test('each reader has one printer, which prints in that reader’s units', () => {
  expect(sayIn('imperial')).toBe(sayIn('imperial'));
  expect(sayIn('imperial').quantity('length', 25.4)).not.toBe(sayIn('metric').quantity('length', 25.4));
  expect(sayIn('metric').span('gap', { low: 0.7, high: 0.8 })).toBe('0.70–0.80 mm');
});
