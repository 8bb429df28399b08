import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ScanWatch } from './scan-watch.ts';

/** Presses the keys a fixed time apart and gives what the watch made of them. */
function sent(keys: readonly string[], apartMs: number, watch = new ScanWatch(), fromMs = 1000) {
  keys.forEach((key, i) => {
    watch.press(key, fromMs + i * apartMs);
  });
  return watch;
}

describe('a scanner on the desk', () => {
  test('is told by its pace, and its code is read whole', () => {
    const watch = sent([...'2900004196301', 'Enter'], 3);
    expect(watch.isBurst).toBe(true);
    expect(watch.takeCode()).toBe('2900004196301');
    expect(watch.takeCode()).toBe('');
  });

  test('may stumble once it is recognised, and two scans after one another stay two', () => {
    const watch = sent([...'29041'], 3);
    watch.press('9', 1000 + 4 * 3 + 60);
    watch.press('6', 1000 + 4 * 3 + 63);
    expect([watch.isBurst, watch.takeCode()]).toEqual([true, '2904196']);
    watch.pause();
    expect(sent([...'77125'], 3, watch, 2000).takeCode()).toBe('77125');
  });

  test('is told though its code is nearly all noughts', () => {
    const watch = sent([...'2000000000008', 'Enter'], 4);
    expect([watch.isBurst, watch.takeCode()]).toEqual([true, '2000000000008']);
  });

  test('reads any code of five keys or more to the letter, whatever was pressed before', () => {
    const code = fc.string({ minLength: 5, maxLength: 40, unit: fc.constantFrom(...'0123456789ABCXYZ-./') });
    fc.assert(
      fc.property(code, fc.array(fc.constantFrom('j', 'k', 'Enter', '2'), { maxLength: 5 }), (text, before) => {
        fc.pre([...text].every((key, i) => key !== text[i - 1]));
        const watch = sent(before, 180);
        watch.pause();
        sent([...text, 'Enter'], 8, watch, 5000);
        expect([watch.isBurst, watch.takeCode()]).toEqual([true, text]);
      }),
    );
  });
});

describe('a person at the keys', () => {
  test.each<[string, string[], number]>([
    ['typing at eleven keys a second', [...'kestrane'], 90],
    ['drumming on one key', [...'jjjjjjjj'], 12],
    ['rolling over three keys at once', ['t', '2', 'j'], 10],
  ])('%s is no scan', (_what, keys, apartMs) => {
    expect(sent(keys, apartMs).isBurst).toBe(false);
  });

  test('holding a key down is no scan, however fast it repeats', () => {
    const watch = new ScanWatch();
    for (let i = 0; i < 20; i += 1) watch.press(i % 2 === 0 ? 'j' : 'k', 1000 + i * 5, true);
    expect(watch.isBurst).toBe(false);
  });

  test('may take three seconds over a sequence, not longer, in either case and with Shift for a figure', () => {
    expect(sent(['t', '2'], 2900).leader).toBe('t');
    expect(sent(['t', '2'], 3100).leader).toBe('');
    expect(sent(['T', 'Shift', '2'], 1400).leader).toBe('t');
  });
});
