import type { QueryClient } from '@tanstack/react-query';

/** What is shown may ask further once it has its first answer. */
const QUIET_MS = 200;

/** Once nothing that was asked is still on its way, and nothing more is asked for a moment; never, where the page is left before. */
export function whenQuiet(queries: QueryClient, leaving: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    let soon: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      clearTimeout(soon);
      if (queries.isFetching() > 0) return;
      soon = setTimeout(() => {
        stop();
        resolve();
      }, QUIET_MS);
    };
    const stop = queries.getQueryCache().subscribe(look);
    leaving.addEventListener('abort', () => {
      clearTimeout(soon);
      stop();
    });
    look();
  });
}
