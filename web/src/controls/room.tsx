import { lazy, type ComponentType } from 'react';

const TRY_AGAIN_MS = 1500;
const MOST_MISSING = 2;
const loads: (() => Promise<unknown>)[] = [];

/** A screen's file is gone though the server is there: a newer release has taken its place. */
export class GoneError extends Error {
  constructor() {
    super('This page is of an earlier release.');
  }
}

const serves = (): Promise<boolean> =>
  fetch('/api/health').then(
    ({ ok }) => ok,
    () => false,
  );

/**
 * Loads until it succeeds: a server that is away for a while must not take down the screen that asks for another. Where the
 * server is there and the file still is not, waiting would never end: that is thrown.
 */
async function patiently<T>(load: () => Promise<T>): Promise<T> {
  for (let missing = 0; ;) {
    try {
      return await load();
    } catch {
      missing = (await serves()) ? missing + 1 : 0;
      if (missing >= MOST_MISSING) throw new GoneError();
      await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
    }
  }
}

/** A screen or sheet that is not part of the first load; it comes when it is entered, or before, with `fetchRooms`. */
export function room<P>(load: () => Promise<ComponentType<P>>) {
  loads.push(load);
  return lazy(async () => ({ default: await patiently(load) }));
}

/** Fetches every screen, one after another, so that none has to be waited for, nor the server be there, when it is entered. */
export async function fetchRooms(): Promise<void> {
  // One that is gone says so when it is entered.
  for (const load of loads) await patiently(load).catch(() => undefined);
}
