import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { ADDRESSES } from '@brackenfell/contract/addresses';
import type { Tidings } from '@brackenfell/contract/live';
import { BEAT, SILENT_MS, TIDINGS } from '@brackenfell/contract/live-line';
import { lookForServer } from '../wire/server-presence.ts';
import { concerns } from './what-shows.ts';

/** Asks anew for what is shown and may have changed; what is being asked for the first time, once more when it has come. */
export function takeTidings(queries: QueryClient, tidings: Tidings): void {
  const predicate = concerns(tidings);
  for (const query of queries.getQueryCache().findAll({ predicate, fetchStatus: 'fetching' })) {
    if (query.state.data !== undefined) continue;
    const again = () => void queries.invalidateQueries({ queryKey: query.queryKey, exact: true });
    void query.promise?.then(again, () => undefined);
  }
  void queries.invalidateQueries({ predicate });
}

const EVERYTHING: Tidings = { topics: [], parts: [], slips: [], gap: true };

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 5000;

/**
 * Keeps what is shown as it is at every till: a line to the server on which it says what changes. It is made anew when it is
 * lost, and everything is asked for then. A page that nobody looks at has none, and catches up when it is looked at. Stands
 * once, around every screen of whoever is signed in.
 */
export function useLive(isSignedIn: boolean): void {
  const queries = useQueryClient();
  useEffect(
    () =>
      isSignedIn
        ? keepLine(
            (tidings) => takeTidings(queries, tidings),
            // It may have been ended for that the session was.
            () => void queries.invalidateQueries({ queryKey: ['session'] }),
          )
        : undefined,
    [queries, isSignedIn],
  );
}

/** Keeps the line; gives back what ends it. */
export function keepLine(hear: (tidings: Tidings) => void, onLost: () => void): () => void {
  let pauseMs = FIRST_PAUSE_MS;
  let line: EventSource | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const end = () => {
    clearTimeout(timer);
    line?.close();
    line = undefined;
  };
  const lose = () => {
    end();
    lookForServer();
    onLost();
    timer = setTimeout(call, pauseMs);
    pauseMs = Math.min(LONGEST_PAUSE_MS, pauseMs * 2);
  };
  const call = () => {
    end();
    if (document.visibilityState === 'hidden') return;
    const stand = () => {
      clearTimeout(timer);
      timer = setTimeout(lose, SILENT_MS);
    };
    line = new EventSource(ADDRESSES.live[1]);
    line.addEventListener('open', () => {
      pauseMs = FIRST_PAUSE_MS;
      hear(EVERYTHING);
    });
    line.addEventListener(BEAT, stand);
    line.addEventListener(TIDINGS, ({ data }: MessageEvent<string>) => {
      stand();
      hear(JSON.parse(data) as Tidings);
    });
    line.addEventListener('error', lose);
    stand();
  };
  call();
  document.addEventListener('visibilitychange', call);
  return () => {
    document.removeEventListener('visibilitychange', call);
    end();
  };
}
