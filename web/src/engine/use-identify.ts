import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect } from 'react';
import { useAddress } from '../controls/use-address.ts';
import { call } from '../wire/call.ts';
import { forgetSaid, keepSaid, readSaid } from '../counter/said-shelf.ts';

/** What was said about the engine, kept in the address, and for its slip while this window is open. */
export function useSaid() {
  const { search, write } = useAddress();
  const slipId = search.get('slip');
  const said = search.getAll('said');
  const keep = useCallback(
    (next: readonly string[]) => {
      keepSaid(slipId, next);
      write({ said: next });
    },
    [write, slipId],
  );
  useEffect(() => {
    // What was said before the slip was begun goes with it; the desk without one is clean again.
    const before = slipId === null ? [] : readSaid(null);
    if (before.length > 0) {
      forgetSaid(null);
      if (readSaid(slipId).length === 0) keepSaid(slipId, before);
    }
    const kept = readSaid(slipId);
    if (search.getAll('said').length === 0 && kept.length > 0) keep(kept);
    // Only when a slip is opened: afterwards the address is what counts.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [slipId]);
  return {
    said,
    say: (...more: string[]) => keep([...said, ...more.filter((one) => !said.includes(one))]),
    startOver: () => keep([]),
    takeBack: (place: number) => keep(said.filter((_, i) => i !== place)),
  };
}

export function useIdentify(said: readonly string[]) {
  return useQuery({
    queryKey: ['identify', said],
    queryFn: ({ signal }) => call('identify', { query: said.length === 0 ? {} : { said: [...said] } }, { signal }),
    placeholderData: keepPreviousData,
  });
}
