import { expect, test } from '@jest/globals';
import { holdPlaces } from './held-list.ts';

const told = { keyOf: ({ key }: { key: string }) => key, tellOf: ({ holder }: { holder: string }) => holder };
const held = (laidOut: string, now: string) => {
  const read = (text: string) =>
    [...text.matchAll(/(\w)(\w)/g)].map(([, key, holder]) => ({ key: key!, holder: holder! }));
  return holdPlaces(read(laidOut), read(now), told)
    .map(({ item, news }) => `${item.key}${item.holder}${news ? ` ${news}` : ''}`)
    .join(', ');
};

test('a letter goes on meaning the slip it meant, whatever is taken up, parked or moved elsewhere', () => {
  expect(held('1w 2w 3w', '1w 2w 3w')).toBe('1w, 2w, 3w');
  expect(held('1w 2w 3w', '3w 1w 2w')).toBe('1w, 2w, 3w');
  expect(held('1w 2w 3w', '2w 3w')).toBe('1w gone, 2w, 3w');
  expect(held('1w 2w', '4w 2i 1w')).toBe('1w, 2i changed, 4w new');
  expect(held('', '4w')).toBe('4w new');
});
