import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { call } from '../wire/call.ts';

const shelf = (slipId: string | null) => `brackenfell.said.${slipId ?? 'none'}`;

/** What was said about the engine, kept in the address, and for its slip while this window is open. */
export function useSaid() {
  const [search, setSearch] = useSearchParams();
  const slipId = search.get('slip');
  const said = search.getAll('said');
  const keep = useCallback(
    (next: readonly string[]) => {
      sessionStorage.setItem(shelf(slipId), JSON.stringify(next));
      setSearch(
        (before) => {
          const after = new URLSearchParams(before);
          after.delete('said');
          for (const one of next) after.append('said', one);
          return after;
        },
        { replace: true },
      );
    },
    [setSearch, slipId],
  );
  useEffect(() => {
    const kept = JSON.parse(sessionStorage.getItem(shelf(slipId)) ?? '[]') as string[];
    if (search.getAll('said').length === 0 && kept.length > 0) keep(kept);
    // Only when a slip is opened: afterwards the address is what counts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
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
