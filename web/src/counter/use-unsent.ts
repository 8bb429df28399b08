import { useMemo, useSyncExternalStore } from 'react';
import type { SlipDetails } from '@brackenfell/core/slip/details';
import { useSession } from '../session/use-session.ts';
import { NEW_SLIP, type Intent } from '../wire/outbox.ts';
import { saidUnsent } from './said-unsent.ts';
import { asBegun, isOwnOf, outbox } from './slip-outbox.ts';

function useWaiting(): readonly Intent[] {
  return useSyncExternalStore(outbox.subscribe, () => outbox.waiting);
}

/** Writes of this computer, whoever's slip they are of, that are not known to be stored. */
export const useAllUnsent = useWaiting;

/** Writes of a slip that are not known to be stored. */
export function useUnsent(slipId: string | undefined): readonly Intent[] {
  const waiting = useWaiting();
  return useMemo(
    () =>
      // A write that is addressed has the slip's number while the page may still call it by our own name, and the other way round.
      waiting.filter((intent) => asBegun(intent.slipId) === asBegun(slipId ?? null)),
    [waiting, slipId],
  );
}

/** What who is signed in said of what a slip is for and is on its way; the same object as long as it says the same. */
export function useSaidUnsent(slipId: string | undefined): Partial<SlipDetails> {
  const { data: me } = useSession();
  const said = useSyncExternalStore(outbox.subscribe, () =>
    JSON.stringify(saidUnsent(outbox.waiting.filter(isOwnOf(slipId, me?.id)))),
  );
  return useMemo(() => JSON.parse(said) as Partial<SlipDetails>, [said]);
}

/** The number of a slip that was begun here, once the server has given it one. */
export function useBegunAs(slipId: string | undefined): string | undefined {
  useWaiting();
  return slipId?.startsWith(NEW_SLIP) ? outbox.begunAs(slipId) : undefined;
}
