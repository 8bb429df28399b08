import { setTimeout as sleep } from 'node:timers/promises';
import { expect, test } from '@jest/globals';
import { allEnded, OneBehind } from './all-ended.ts';

test('where one of several writings of a transaction fails, none of the others is left running behind it', async () => {
  const ended: string[] = [];
  const write = async (name: string, ms: number) => {
    await sleep(ms);
    ended.push(name);
    return name;
  };
  const failing = async () => {
    await sleep(1);
    throw new Error('refused');
  };
  expect(await allEnded([write('a', 2), write('b', 1)])).toEqual(['a', 'b']);
  await expect(allEnded([failing(), write('late', 30)])).rejects.toThrow('refused');
  expect(ended).toEqual(['b', 'a', 'late']);
});

test('a page is read while the one before is written, and no writing outlives the work or fails unheard', async () => {
  const said: string[] = [];
  const write =
    (name: string, ms: number, fails = false) =>
    async () => {
      await sleep(ms);
      said.push(`${name} written`);
      if (fails) throw new Error(`${name} refused`);
    };
  await OneBehind.during(async (writings) => {
    await writings.begin(write('first', 20));
    said.push('second read');
    await writings.begin(write('second', 1));
  });
  expect(said).toEqual(['second read', 'first written', 'second written']);
  // Whether the next comes or not, whoever began it is told.
  await expect(OneBehind.during((writings) => writings.begin(write('last', 1, true)))).rejects.toThrow('last refused');
  const stopped = OneBehind.during(async (writings) => {
    await writings.begin(write('third', 20));
    throw new Error('stopped');
  });
  await expect(stopped).rejects.toThrow('stopped');
  expect(said.at(-1)).toBe('third written');
});
