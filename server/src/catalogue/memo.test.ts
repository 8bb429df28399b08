import { describe, expect, test } from '@jest/globals';
import { Memo } from './memo.ts';

describe('what was read of the catalogue', () => {
  test('is read once, by however many at the same time', async () => {
    const memo = new Memo();
    let reads = 0;
    const read = () => Promise.resolve((reads += 1));
    expect(await Promise.all([memo.once('an engine', read), memo.once('an engine', read)])).toEqual([1, 1]);
    expect(await memo.once('an engine', read)).toBe(1);
    expect(await memo.once('another', read)).toBe(2);
  });

  test('by a till whose connection is lost is read again by the one that waited for it, and kept', async () => {
    const memo = new Memo();
    const lost = memo.once('an engine', () => Promise.reject(new Error('connection lost')));
    const waited = memo.once('an engine', () => Promise.resolve('read'));
    await expect(lost).rejects.toThrow('connection lost');
    expect(await waited).toBe('read');
    expect(await memo.once('an engine', () => Promise.resolve('read anew'))).toBe('read');
  });

  test('and failed is not kept', async () => {
    const memo = new Memo();
    await expect(memo.once('an engine', () => Promise.reject(new Error('away')))).rejects.toThrow('away');
    expect(await memo.once('an engine', () => Promise.resolve('back'))).toBe('back');
  });
});
