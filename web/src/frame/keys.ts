import { useEffect, useRef, useSyncExternalStore } from 'react';
import { tinykeys } from 'tinykeys';
import { currentSettings } from '../settings/settings.ts';

/** One key of the map: what is pressed, what it says in the help, what it does. */
export interface KeyBinding {
  /** In tinykeys' notation: `j`, `Shift+?`, `, c`, `Control+Enter`. */
  readonly press: string;
  /** How the key is printed in the help; the press itself when left out. */
  readonly printed?: string;
  readonly does: string;
  readonly run: () => void;
}

interface Group {
  readonly title: string;
  readonly bindings: readonly KeyBinding[];
}

let groups: readonly Group[] = [];
const listeners = new Set<() => void>();
const announce = (next: readonly Group[]) => {
  groups = next;
  for (const listener of listeners) listener();
};

/** Keys pressed faster than this after one another, several in a row, are a scanner's and never commands. */
const BURST_MS = 25;
const BURST_LENGTH = 4;
let lastKey = '';
let lastKeyAt = 0;
let burst = 0;

/** Counts every key press, so that a scanner's burst on the desk is told from a person's. */
export function watchForBursts(): () => void {
  const count = (event: KeyboardEvent) => {
    const isFast = !event.repeat && event.timeStamp - lastKeyAt < BURST_MS;
    // One key hammered fast is a person's; a code changes from key to key.
    burst = isFast ? burst + (event.key === lastKey ? 0 : 1) : 0;
    lastKey = event.key;
    lastKeyAt = event.timeStamp;
  };
  window.addEventListener('keydown', count, { capture: true });
  return () => {
    window.removeEventListener('keydown', count, { capture: true });
  };
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** In an open dialog only the dialog's own keys count. */
const dialogIsOpen = (): boolean => document.querySelector('[role="dialog"]') !== null;

/**
 * Puts keys on the map while the component is shown. They do not act while somebody types, nor behind a dialog (unless
 * they are the dialog's), nor in a scanner's burst; single characters can be switched off altogether.
 */
export function useKeys(
  title: string,
  bindings: readonly KeyBinding[],
  options: { inDialog?: boolean; active?: boolean } = {},
): void {
  const { inDialog = false, active = true } = options;
  const latest = useRef(bindings);
  useEffect(() => {
    latest.current = bindings;
  });
  const presses = bindings.map((b) => b.press).join('\n');
  useEffect(() => {
    if (!active) return undefined;
    const group: Group = { title, bindings: latest.current };
    announce([...groups, group]);
    const handlers = Object.fromEntries(
      presses.split('\n').map((press) => [
        press,
        (event: KeyboardEvent) => {
          const binding = latest.current.find((b) => b.press === press);
          if (!binding || event.defaultPrevented || burst >= BURST_LENGTH) return;
          const isSingle = !/Control|Meta|Alt|Arrow|Enter|Escape/.test(press);
          if (isTyping(event.target) && !press.startsWith('Control')) return;
          if (isSingle && !currentSettings().singleKeys) return;
          if (dialogIsOpen() !== inDialog) return;
          // Enter and Space on a focused control are that control's own.
          if (
            /^(Enter|Space)$/.test(press) &&
            event.target instanceof HTMLElement &&
            /^(BUTTON|A)$/.test(event.target.tagName)
          )
            return;
          event.preventDefault();
          binding.run();
        },
      ]),
    );
    const release = tinykeys(window, handlers, { timeout: 1500 });
    return () => {
      release();
      announce(groups.filter((g) => g !== group));
    };
  }, [title, presses, inDialog, active]);
}

/** The keys that act on this screen now, by group. */
export function useKeyMap(): readonly Group[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => groups,
  );
}
