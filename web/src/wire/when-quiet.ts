import type { QueryClient } from '@tanstack/react-query';

/** Once nothing that was asked is still on its way; never, where the page is left before. */
export function whenQuiet(queries: QueryClient, leaving: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const look = () => {
      if (queries.isFetching() > 0) return;
      stop();
      resolve();
    };
    const stop = queries.getQueryCache().subscribe(look);
    leaving.addEventListener('abort', stop);
    look();
  });
}
