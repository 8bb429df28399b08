import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import type { Live } from './live.ts';

/** How often the line is tried while nothing is said on it, and how long it may take to answer. */
const TRY_MS = 5000;
const FIRST_PAUSE_MS = 100;
const LONGEST_PAUSE_MS = 2000;

/**
 * Listens to what the database says of every write, on a connection of its own, and passes it on. A lost connection is made
 * anew; what was said meanwhile is nobody's to know, so every page is told that it may have missed something.
 */
export function listen(connectionString: string, live: Live, onLost: (error: Error) => void): { stop: () => void } {
  const stopped = new AbortController();
  void keepListening(connectionString, live, onLost, stopped.signal);
  return { stop: () => stopped.abort() };
}

async function keepListening(
  connectionString: string,
  live: Live,
  onLost: (error: Error) => void,
  stopped: AbortSignal,
): Promise<void> {
  const isStopped = () => stopped.aborted;
  let pauseMs = FIRST_PAUSE_MS;
  for (let isFirst = true; !isStopped(); isFirst = false) {
    const client = new pg.Client({ connectionString, connectionTimeoutMillis: 3000, query_timeout: TRY_MS });
    // Without somebody who hears of it a lost connection ends the process.
    const lost = new AbortController();
    client.on('error', () => lost.abort());
    client.on('end', () => lost.abort());
    client.on('notification', ({ payload }) => live.hear(payload ?? ''));
    try {
      await client.connect();
      await client.query('listen brackenfell');
      pauseMs = FIRST_PAUSE_MS;
      if (!isFirst) live.missed();
      const over = AbortSignal.any([stopped, lost.signal]);
      const isOver = () => over.aborted;
      while (!isOver()) {
        await sleep(TRY_MS, undefined, { signal: over }).catch(() => undefined);
        // One that hangs is as good as lost.
        if (!isOver()) await client.query('select 1');
      }
      if (!isStopped()) throw new Error('the database ended it');
    } catch (error) {
      if (!isStopped()) onLost(error as Error);
    }
    client.end().catch(() => undefined);
    await sleep(pauseMs, undefined, { signal: stopped }).catch(() => undefined);
    // oxlint-disable-next-line no-useless-assignment -- the next turn waits by it
    pauseMs = Math.min(LONGEST_PAUSE_MS, pauseMs * 2);
  }
}
