import { setTimeout as sleep } from 'node:timers/promises';
import type pg from 'pg';

const MOST_TOLD = 12;

/** What statements of a database wait for, and for whom, looked at five times a second until the end; the most frequent first. */
export function watchWaits(
  client: pg.Client,
  database: string,
): { end: () => Promise<{ wait: string; times: number }[]> } {
  const seen = new Map<string, number>();
  const isOver = new AbortController();
  const watching = (async () => {
    while (!isOver.signal.aborted) {
      const { rows } = await client.query<{ wait: string }>(
        `select a.wait_event_type || ' ' || a.wait_event || ': ' || left(a.query, 60) || coalesce(' ⟵ ' || left(b.query, 60), '') as wait
         from pg_stat_activity a left join lateral unnest(pg_blocking_pids(a.pid)) as p(pid) on true
         left join pg_stat_activity b on b.pid = p.pid
         where a.datname = $1 and a.state = 'active' and a.wait_event is not null and a.pid <> pg_backend_pid()`,
        [database],
      );
      for (const { wait } of rows) seen.set(wait, (seen.get(wait) ?? 0) + 1);
      await sleep(200);
    }
  })();
  return {
    end: async () => {
      isOver.abort();
      await watching;
      return [...seen]
        .map(([wait, times]) => ({ wait: wait.replaceAll(/\s+/g, ' '), times }))
        .sort((a, b) => b.times - a.times)
        .slice(0, MOST_TOLD);
    },
  };
}
