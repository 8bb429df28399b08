import { useQuery } from '@tanstack/react-query';
import { openTray } from '@brackenfell/contract/open-tray';
import { MOST_EXPLAINED } from '@brackenfell/contract/tray';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';

/** The judged tray of an engine. Moving through it asks nothing of the server: every row comes with all its reasons. */
export function useTray(engineId: string | undefined, inHand: string | undefined, most = MOST_EXPLAINED) {
  const { units } = useSettings();
  return useQuery({
    queryKey: ['tray', engineId, inHand, units, most],
    queryFn: () =>
      call('getTray', { params: { engineId: engineId! }, query: { units, most, ...(inHand ? { inHand } : {}) } }),
    select: openTray,
    enabled: engineId !== undefined,
    staleTime: 30_000,
    placeholderData: (previous) => (previous?.engineId === engineId ? previous : undefined),
  });
}
