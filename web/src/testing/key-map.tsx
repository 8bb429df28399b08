import { afterEach, beforeEach, jest } from '@jest/globals';
import { act as settleReact, cleanup } from '@testing-library/react';
import { useKeys, watchForBursts, type KeyBinding } from '../keys/keys.ts';
import { SETTLED_MS } from './press.ts';

/** What keys did, in order; `told` where it was said that some are forgotten. */
export const done: string[] = [];
/** What was scanned, and whether a sheet was open. */
export const scans: [code: string, behindSheet: boolean][] = [];

export const does = (key: string, more: Partial<KeyBinding> = {}): KeyBinding => ({
  press: key,
  does: `does ${key}`,
  run: () => done.push(key),
  ...more,
});

export const wait = (ms = SETTLED_MS) => {
  settleReact(() => {
    jest.advanceTimersByTime(ms);
  });
};

export const settle = (ms = 2000) => settleReact(() => jest.advanceTimersByTimeAsync(ms));

export function Keys({ keys, ...options }: { keys: readonly KeyBinding[]; inDialog?: boolean; yields?: boolean }) {
  useKeys('Test', keys, options);
  return null;
}

/** Has keys watched as on the page, on a clock of the test's own. */
export function watchKeys(): void {
  let stop: () => void;
  beforeEach(() => {
    jest.useFakeTimers();
    done.length = 0;
    scans.length = 0;
    stop = watchForBursts(
      (code, behind) => scans.push([code, behind]),
      () => done.push('told'),
    );
  });
  afterEach(() => {
    wait(5000);
    stop();
    cleanup();
    jest.useRealTimers();
    window.localStorage.clear();
  });
}
