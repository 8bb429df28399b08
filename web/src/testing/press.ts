import { act } from '@testing-library/react';

/** The clock of key presses: events of one test come later and later, however fast the test runs. */
let now = 1000;

interface Paced {
  /** How long after the key before it, ms. */
  readonly afterMs?: number;
  readonly more?: KeyboardEventInit;
}

/** One key as a person, or with a short time a scanner, presses it: to what has the focus. */
export function press(key: string, { afterMs = 60, more = {} }: Paced = {}): KeyboardEvent {
  now += afterMs;
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  Object.defineProperty(event, 'timeStamp', { value: now });
  act(() => {
    (document.activeElement ?? document.body).dispatchEvent(event);
  });
  return event;
}

/** Longer than any key waits to be known a person's. */
export const SETTLED_MS = 100;
