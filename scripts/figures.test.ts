import { expect, test } from '@jest/globals';
import { cellsOf } from './figures.ts';

test('a figure that misses its target by a hair is told closer, so that what was reached can be seen', () => {
  const cells = (value: number) => cellsOf({ what: 'audit', value, target: 1.4 }).slice(2);
  expect(cells(1.447)).toEqual(['1.447', '≤ 1.4', '**not reached**']);
  expect(cells(1.36)).toEqual(['1.4', '≤ 1.4', 'reached']);
  expect(cells(2.13)).toEqual(['2.1', '≤ 1.4', '**not reached**']);
});
