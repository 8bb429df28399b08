import { useEffect, useId, useRef } from 'react';
import { useKeys, type KeyBinding } from '../keys/keys.ts';

interface PickListOptions {
  /** Of the keys in the help, and of the list to a screen reader. */
  readonly label: string;
  /** What one row is called in the help: "batch". */
  readonly row: string;
  readonly count: number;
  readonly picked: number;
  readonly pick: (index: number) => void;
  /** A list in a sheet over the desk. */
  readonly inDialog?: boolean;
}

/** A page of a list, as far as a screenful goes. */
const PAGE = 10;

/**
 * The one way a list is moved through: letters and arrows, Home, End and pages, a pointer; the row moved to is the list's
 * active descendant, so that a screen reader says it, and is kept in sight.
 */
export function usePickList({ label, row, count, picked, pick, inDialog = false }: PickListOptions) {
  const list = useRef<HTMLElement | null>(null);
  const id = useId();
  // What is shown may stand in none of the rows: then no row is picked.
  const here = picked < 0 ? -1 : Math.min(picked, Math.max(0, count - 1));
  const to = (index: number) => {
    if (count > 0) pick(Math.max(0, Math.min(count - 1, index)));
  };
  const move = (by: number) => () => to(here + by);
  const keys: KeyBinding[] = [
    { press: 'j', does: `Next ${row}`, run: move(1), takeBack: move(-1) },
    { press: 'k', does: `Earlier ${row}`, run: move(-1), takeBack: move(1) },
    { press: 'ArrowDown', printed: '↓', does: `Next ${row}`, run: move(1) },
    { press: 'ArrowUp', printed: '↑', does: `Earlier ${row}`, run: move(-1) },
    { press: 'Home', does: `First ${row}`, run: () => to(0) },
    { press: 'End', does: `Last ${row}`, run: () => to(count - 1) },
    { press: 'PageDown', printed: 'PgDn', does: 'A page on', run: move(PAGE) },
    { press: 'PageUp', printed: 'PgUp', does: 'A page back', run: move(-PAGE) },
  ];
  useKeys(label, keys, { inDialog, active: count > 0 });
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [here]);
  const rowId = (index: number) => `${id}-${index}`;
  return {
    here,
    listProps: {
      ref: (element: HTMLElement | null) => {
        list.current = element;
      },
      role: 'listbox',
      'aria-label': label,
      'aria-activedescendant': count > 0 && here >= 0 ? rowId(here) : undefined,
      tabIndex: 0,
    },
    rowProps: (index: number) => ({
      id: rowId(index),
      role: 'option',
      'aria-selected': index === here,
      onClick: () => to(index),
    }),
  } as const;
}
