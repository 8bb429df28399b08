import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { UNTIL_BACK } from '../wire/until-back.ts';

export function useEngine(engineId: string | undefined) {
  const { units } = useSettings();
  return useQuery({
    queryKey: ['engine', engineId, units],
    queryFn: () => call('getEngine', { params: { engineId: engineId! }, query: { units } }),
    enabled: engineId !== undefined,
    staleTime: 60_000,
    ...UNTIL_BACK,
    placeholderData: (previous) => (previous?.engineId === engineId ? previous : undefined),
  });
}

export function useEngines(words: string) {
  const { units } = useSettings();
  return useQuery({
    queryKey: ['engines', words, units],
    queryFn: ({ signal }) =>
      call('listEngines', { query: words.trim() === '' ? { units } : { words: words.trim(), units } }, { signal }),
    placeholderData: keepPreviousData,
  });
}
