import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { tinykeys } from 'tinykeys';
import { currentSettings } from '../settings/settings.ts';
import {
  isOfControl,
  isOfControlInHand,
  isOfFields,
  isOurs,
  isTyping,
  strike,
  takeOut,
  type Struck,
} from './fields.ts';
import { InTurn } from './in-turn.ts';
import { ScanWatch, STUMBLE_MS } from './scan-watch.ts';

/** One key of the map: what is pressed, what it says in the help, what it does. */
export interface KeyBinding {
  /** In tinykeys' notation: `j`, `Shift+?`, `, c`, `Control+Enter`. */
  readonly press: string;
  /** How the key is printed in the help; the press itself when left out. */
  readonly printed?: string;
  readonly does: string;
  readonly run: () => void;
  /** For a command too quick to wait, such as a move to the next row: what undoes it when it began a scan. */
  readonly takeBack?: () => void;
  /** Stands before the same key of the desk while it is on the map: the slip's lines while they have the hand. */
  readonly first?: boolean;
}

interface Group {
  readonly title: string;
  /** Gives way where another group has the same key: the slip's own keys to those of the desk. */
  readonly yields: boolean;
  readonly inDialog: boolean;
  readonly bindings: readonly KeyBinding[];
  /** What the keys do as of now; `bindings` are as they were when they came onto the map. */
  readonly current: () => readonly KeyBinding[];
}

let groups: readonly Group[] = [];
const listeners = new Set<() => void>();
let watching: ReturnType<typeof setTimeout> | undefined;
const announce = (next: readonly Group[]) => {
  groups = next;
  for (const listener of listeners) listener();
  // Once the screen has settled: a mistake of ours, which every journey looks for.
  clearTimeout(watching);
  watching = setTimeout(() => {
    for (const clash of keyClashes(groups)) console.error(`Two commands share a key: ${clash}`);
  });
};

/** Keys that two commands of a screen both answer to, where neither gives way to the other. */
export function keyClashes(
  on: readonly Pick<Group, 'title' | 'yields' | 'inDialog' | 'bindings'>[],
): readonly string[] {
  const seen = new Map<string, string>();
  return on
    .filter(({ yields }) => !yields)
    .flatMap(({ title, inDialog, bindings }) =>
      bindings
        .filter(({ first }) => !first)
        .flatMap(({ press, does }) => {
          const key = `${inDialog} ${press}`;
          const other = seen.get(key);
          seen.set(key, `${title}, ${does}`);
          return other === undefined ? [] : [`${press}: ${other}; ${title}, ${does}`];
        }),
    );
}

/** Sends what is filled in, from a field too: the one command that is no single key. */
const AS_WHOLE = 'Control+Enter';

/** A command waits this long for the key after it: only then is it known not to be the beginning of a scan. */
const HOLD_MS = 30;

/** A key press that waits: the command it is on this screen, and the key itself, which a field takes. */
interface Waiting extends Struck {
  readonly press: string;
}

/** What is not yet known to be a person's: a press that waits, or what takes back a command that ran at once. */
type Held = (Waiting & { readonly event: KeyboardEvent }) | { readonly takeBack: () => void };

const watcher = new ScanWatch();
let held: Held[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;

/** A key that has waited goes where it would have gone by now: to what has the hand, or to its command. */
const inTurn = new InTurn<Waiting>(
  (waiting) => {
    const takesText = () => isTyping(document.activeElement);
    if (waiting.press !== AS_WHOLE && (takesText() || isOfFields(waiting.key) || isOfControlInHand(waiting))) {
      strike(waiting);
      return takesText() ? 'written' : 'commanded';
    }
    act(waiting.press);
    return 'commanded';
  },
  () => tellForgotten(),
);
let tellForgotten: () => void = () => undefined;

/** Tells the keys which address the screen shows by now: one that waits is answered by the screen it was meant for. */
export const drewAddress = (address: { readonly pathname: string; readonly search: string } | undefined): void => {
  inTurn.drew(address);
};

/** Tells the keys that a sheet is still fetched; what it returns, that it is there. */
export const awaitSheet = (): (() => void) => inTurn.awaits('sheet');

/** Tells the keys that a room's file is still fetched; what it returns, that it is there. */
export const awaitRoom = (): (() => void) => inTurn.awaits('room');

/** After a pause: commands of a person are run, those of a scanner forgotten. */
function settle(): void {
  const waiting = held;
  held = [];
  if (!watcher.isBurst) inTurn.add(waiting.filter((one) => 'press' in one));
  else for (const one of waiting.reverse()) if ('takeBack' in one) one.takeBack();
  watcher.pause();
}

const somethingWaits = (): boolean => inTurn.isAtIt || held.some((one) => 'press' in one);

/**
 * A machine that is busy hands over the keys of a second at once, before the first of them has opened the ask line or a
 * sheet: what was typed behind it waits too, and so does what comes when the field is there and they are not yet in it.
 */
function waitBehind(event: KeyboardEvent): void {
  const { key, shiftKey, ctrlKey } = event;
  const isOther = event.metaKey || event.altKey;
  const isWhole = key === 'Enter' && ctrlKey && !isOther && !shiftKey;
  const waits = isWhole || (!ctrlKey && (key.length === 1 || key === 'Enter' || isOfFields(key)));
  if (!somethingWaits() || !waits || isOther) return;
  event.preventDefault();
  // Nobody hears of it before its turn. A letter may be the next of a sequence, which the key map has to hear of.
  if (isWhole || isOfFields(key) || isOfControl(event)) event.stopPropagation();
  held.push({ press: isWhole ? AS_WHOLE : key, key, shiftKey, event });
}

const isHeld = (event: KeyboardEvent): boolean => {
  const last = held.at(-1);
  return last !== undefined && 'event' in last && last.event === event;
};

/** Has a command wait until it is known that no scan has begun; one that can be taken back runs at once. */
function hold(binding: KeyBinding, event: KeyboardEvent): void {
  if (isHeld(event)) held.pop();
  if (binding.takeBack && !somethingWaits()) {
    binding.run();
    held.push({ takeBack: binding.takeBack });
  } else held.push({ press: binding.press, key: event.key, shiftKey: event.shiftKey, event });
}

/**
 * Watches every key press, so that a scanner's burst on the desk is told from a person's keys and read as a scan.
 * `onForgotten` hears that keys were forgotten whose screen has not come.
 */
export function watchForBursts(
  onScan: (code: string, behindSheet: boolean) => void,
  onForgotten: () => void,
): () => void {
  tellForgotten = onForgotten;
  const watch = (event: KeyboardEvent) => {
    if (isOurs(event)) return;
    watcher.press(event.key, event.timeStamp, event.repeat);
    if (event.key === 'Enter' && watcher.isBurst && takesScans(event.target)) {
      const code = watcher.takeCode();
      // Neither a button in focus nor the ask line's picked answer is meant by a scanner's Enter.
      event.preventDefault();
      event.stopPropagation();
      if (code !== '') onScan(code, dialogIsOpen());
    }
    // A scan into a field of words is not its last word: it neither sends the note nor becomes it.
    else if (
      event.key === 'Enter' &&
      watcher.isBurst &&
      event.target instanceof HTMLInputElement &&
      event.target.dataset.words !== undefined
    ) {
      const code = watcher.takeCode();
      event.preventDefault();
      event.stopPropagation();
      takeOut(event.target, code);
      if (code !== '') onScan(code, true);
    } else waitBehind(event);
    clearTimeout(timer);
    timer = setTimeout(settle, watcher.isBurst ? STUMBLE_MS : HOLD_MS);
  };
  window.addEventListener('keydown', watch, { capture: true });
  return () => {
    clearTimeout(timer);
    window.removeEventListener('keydown', watch, { capture: true });
  };
}

/** In an open dialog only the dialog's own keys count. */
const dialogIsOpen = (): boolean => document.querySelector('[role="dialog"]') !== null;

/**
 * The desk and the ask line take scans; another field keeps what is scanned into it. Behind an open sheet nothing is
 * answered: the scan waits in the list of scans.
 */
const takesScans = (target: EventTarget | null): boolean =>
  !isTyping(target) || (target instanceof HTMLElement && target.dataset.scans !== undefined);

/**
 * Puts keys on the map while the component is shown. They do not act while somebody types, nor behind a dialog (unless
 * they are the dialog's), nor in a scanner's burst; single characters can be switched off altogether.
 */
export function useKeys(
  title: string,
  bindings: readonly KeyBinding[],
  options: { inDialog?: boolean; active?: boolean; yields?: boolean } = {},
): void {
  const { inDialog = false, active = true, yields = false } = options;
  const latest = useRef(bindings);
  // Before the screen is painted: what is seen can be pressed.
  useLayoutEffect(() => {
    latest.current = bindings;
  });
  const presses = bindings.map((b) => b.press).join('\n');
  useLayoutEffect(() => {
    if (!active) return undefined;
    const group: Group = { title, yields, inDialog, bindings: latest.current, current: () => latest.current };
    announce([...groups, group]);
    // A sequence is told by the key that ends it: the screen may be drawn anew between its two, and lose neither.
    const answer = (last: string) => (event: KeyboardEvent) => {
      const { leader } = watcher;
      const binding =
        latest.current.find((b) => b.press === `${leader} ${last}`) ?? latest.current.find((b) => b.press === last);
      if (!binding || (event.defaultPrevented && !isHeld(event)) || watcher.isBurst) return;
      const { press } = binding;
      const isSingle = !/Control|Meta|Alt|Arrow|Enter|Escape/.test(press);
      if (isTyping(event.target) && !press.startsWith('Control')) return;
      if (isSingle && !currentSettings().singleKeys) return;
      if (dialogIsOpen() !== inDialog) return;
      if (yields && groups.some((g) => !g.yields && g.bindings.some((b) => b.press === press))) return;
      // While the slip's lines have the hand, what is theirs is not also the desk's.
      if (!binding.first && groups.some((g) => g.bindings.some((b) => b.press === press && b.first))) return;
      // The end of a sequence is not also the command it would be alone.
      if (groups.some((g) => g.bindings.some((b) => b.press === `${leader} ${press}`))) return;
      if (isOfControl(event)) return;
      event.preventDefault();
      if (isSingle || press === 'Enter') hold(binding, event);
      else binding.run();
    };
    const lasts = presses.split('\n').map((press) => press.slice(press.lastIndexOf(' ') + 1));
    const release = tinykeys(window, Object.fromEntries(lasts.map((last) => [last, answer(last)])));
    return () => {
      release();
      announce(groups.filter((g) => g !== group));
    };
  }, [title, presses, inDialog, active, yields]);
}

/** What a key does now, as pressed by a pointer: on the desk, or in the sheet that is open. */
export function act(press: string): void {
  const bound = groups.filter((group) => group.inDialog === dialogIsOpen());
  const all = bound.flatMap((group) =>
    group
      .current()
      .filter((binding) => binding.press === press)
      .map((binding) => ({ binding, group })),
  );
  const own = all.find(({ binding }) => binding.first) ?? all.find(({ group }) => !group.yields) ?? all[0];
  own?.binding.run();
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
