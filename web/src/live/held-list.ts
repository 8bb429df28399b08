import { useState } from 'react';

/** What became of an item since its list was laid out. */
export type News = 'new' | 'changed' | 'gone';
export interface HeldItem<T> {
  readonly item: T;
  readonly news: News | null;
}

interface Told<T> {
  readonly keyOf: (item: T) => string;
  /** What of an item a person acts upon; where it reads otherwise, the item has changed. */
  readonly tellOf: (item: T) => string;
}

/** A list as it was laid out: everything keeps its place, what is gone says so, and what is new comes last. */
export function holdPlaces<T>(
  laidOut: readonly T[],
  now: readonly T[],
  { keyOf, tellOf }: Told<T>,
): readonly HeldItem<T>[] {
  const byKey = new Map(now.map((item) => [keyOf(item), item]));
  const before = laidOut.map((was): HeldItem<T> => {
    const is = byKey.get(keyOf(was));
    if (is === undefined) return { item: was, news: 'gone' };
    return { item: is, news: tellOf(was) === tellOf(is) ? null : 'changed' };
  });
  const held = new Set(laidOut.map(keyOf));
  return [...before, ...now.filter((item) => !held.has(keyOf(item))).map((item) => ({ item, news: 'new' }) as const)];
}

/**
 * Holds the places of a list for as long as the same is `asked` of it (undefined while the answer to that is awaited), or until
 * it is laid out anew.
 */
export function useHeldPlaces<T>(
  now: readonly T[] | undefined,
  asked: string | undefined,
  told: Told<T>,
): { readonly held: readonly HeldItem<T>[] | undefined; readonly layOut: () => void } {
  const [laidOut, set] = useState<{ readonly items: readonly T[]; readonly asked: string | undefined }>();
  const isOther = now !== undefined && (!laidOut || (asked !== undefined && laidOut.asked !== asked));
  if (isOther) set({ items: now, asked });
  const layOut = () => now && set({ items: now, asked });
  if (now === undefined) return { held: undefined, layOut };
  return { held: holdPlaces(isOther || !laidOut ? now : laidOut.items, now, told), layOut };
}
