import type { Logger } from 'pino';

/** A lost connection in a line: the error itself carries the whole client along. */
export function sayLost(log: Logger, error: Error & { code?: string }): void {
  log.warn({ code: error.code, why: error.message }, 'database connection lost');
}
