import { lazy, useLayoutEffect, useState, type ComponentType } from 'react';
import { awaitRoom, awaitSheet } from '../keys/keys.ts';

const TRY_AGAIN_MS = 1500;
const MOST_MISSING = 2;
const loads: (() => Promise<unknown>)[] = [];

/**
 * A screen's file does not come though the server is there: a newer release has taken its place, or the connection was gone
 * when it was imported, which a browser holds against it for as long as the page stands.
 */
export class GoneError extends Error {
  constructor() {
    super('A file of this page does not come.');
  }
}

const serves = (): Promise<boolean> =>
  fetch('/api/health').then(
    ({ ok }) => ok,
    () => false,
  );

/**
 * Loads until it succeeds: a server that is away for a while must not take down the screen that asks for another. Where the
 * server is there and the file still does not come, waiting would never end: that is thrown.
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

/**
 * A screen or sheet that is not part of the first load; it comes when it is entered, or before, with `fetchRooms`. One that
 * has come is there at once: what is waited for shows its "Opening …" for a third of a second at least.
 */
export function room<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  let here: ComponentType<P> | undefined;
  const fetchIt = async () => (here ??= await load());
  loads.push(fetchIt);
  const OnItsWay: ComponentType<P> = lazy(async () => {
    const there = awaitRoom();
    try {
      return { default: await patiently(fetchIt) };
    } finally {
      there();
    }
  });
  return function Room(props) {
    // The one it began with: another would begin anew and lose what has been typed.
    const [Shown] = useState(() => here ?? OnItsWay);
    return <Shown {...props} />;
  };
}

/** In place of a sheet that is still fetched: what is typed behind the key that opens it waits for it. */
export function SheetOnItsWay() {
  useLayoutEffect(awaitSheet, []);
  return (
    <p role="status" className="fixed top-16 left-1/2 z-30 -translate-x-1/2 border border-line bg-slip px-4 py-2">
      Opening …
    </p>
  );
}

/** The files of this release, which the build writes into the page; in development there are none. */
const filesOfRelease = (): string[] =>
  JSON.parse(document.getElementById('files-of-release')?.textContent ?? '[]') as string[];

async function fetchFile(file: string): Promise<void> {
  const answer = await fetch(file);
  if (!answer.ok) throw new Error(`${file}: ${answer.status}`);
  await answer.arrayBuffer();
}

/**
 * Fetches every screen, one after another, so that none has to be waited for, nor the server be there, when it is entered.
 * The files come first, into the browser's own store: a fetch that failed can be tried again, an import that failed cannot.
 */
export async function fetchRooms(): Promise<void> {
  // One that is gone says so when it is entered.
  for (const file of filesOfRelease()) await patiently(() => fetchFile(file)).catch(() => undefined);
  for (const load of loads) await patiently(load).catch(() => undefined);
}
