import { afterEach, expect, jest, test } from '@jest/globals';
import type { HeldFacts } from '../catalogue/fact-sheets.ts';
import { Memo } from '../catalogue/memo.ts';
import type { Ruling } from '../ruling/ruling.ts';
import { layOnce } from './lay-once.ts';

afterEach(() => void jest.restoreAllMocks());

test('a tray is laid anew once the shop’s own day has changed, for references come into force by it', async () => {
  const held = { trays: new Memo() } as unknown as HeldFacts;
  const ruling = { rules: { version: 1 } } as unknown as Ruling;
  const lay = jest.fn(() => Promise.resolve(undefined));
  const ask = () => layOnce(held, { engineId: 'skerrow-sc20', kind: 'plug' }, ruling, 'metric', lay);
  // What the clock on the wall shows, wherever the machine stands.
  const wall = jest.spyOn(Date.prototype, 'getDate').mockReturnValue(30);
  await ask();
  await ask();
  expect(lay).toHaveBeenCalledTimes(1);
  wall.mockReturnValue(1);
  await ask();
  expect(lay).toHaveBeenCalledTimes(2);
});
