import { lazy, type ComponentType } from 'react';

const TRY_AGAIN_MS = 1500;
const loads: (() => Promise<unknown>)[] = [];

/** Loads until it succeeds: a server that is away for a while must not take down the screen that asks for another. */
async function patiently<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
    }
  }
}

/** A screen that is not part of the first load; it comes when it is entered, or before, with `fetchRooms`. */
export function room(load: () => Promise<ComponentType>) {
  loads.push(load);
  return lazy(async () => ({ default: await patiently(load) }));
}

/** Fetches every screen, one after another, so that none has to be waited for, nor the server be there, when it is entered. */
export async function fetchRooms(): Promise<void> {
  for (const load of loads) await patiently(load);
}
