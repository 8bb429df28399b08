import { AwayError } from './call.ts';
import { ASK_AGAIN_MS } from './server-presence.ts';

/**
 * For what is asked anew as a slip or an engine changes: out of reach, it is asked until it is had, so that what stood
 * before stands on meanwhile, with all that is typed in it. A refusal is told at once.
 */
export const UNTIL_BACK = {
  retry: (_: number, error: Error) => error instanceof AwayError,
  retryDelay: ASK_AGAIN_MS,
};

interface Awaited {
  readonly error: Error | null;
  readonly failureReason: Error | null;
}

/** What a screen with nothing to show says of a question asked until it is answered. */
export const whyNotHad = ({ error, failureReason }: Awaited): string | undefined => (error ?? failureReason)?.message;
