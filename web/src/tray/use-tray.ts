import { useQuery } from '@tanstack/react-query';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

/** The judged tray of an engine. Moving through it asks nothing of the server: every row comes with all its reasons. */
export function useTray(engineId: string | undefined, inHand: string | undefined) {
  const { units } = useSettings();
  return useQuery({
    queryKey: ['tray', engineId, inHand, units],
    queryFn: () => call('getTray', { params: { engineId: engineId! }, query: inHand ? { units, inHand } : { units } }),
    enabled: engineId !== undefined,
    staleTime: 30_000,
    placeholderData: (previous) => (previous?.engineId === engineId ? previous : undefined),
  });
}
