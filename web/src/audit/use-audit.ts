import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../wire/call.ts';

const WATCH_EVERY_MS = 700;

/** The latest audit, watched while it runs. */
export function useAudit() {
  return useQuery({
    queryKey: ['audit'],
    queryFn: () => call('getAudit', {}),
    refetchInterval: ({ state }) =>
      state.data?.job && ['waiting', 'running'].includes(state.data.job.state) ? WATCH_EVERY_MS : false,
  });
}

export function useFinding(findingId: string | undefined) {
  return useQuery({
    queryKey: ['finding', findingId],
    queryFn: () => call('getFinding', { params: { findingId: findingId! } }),
    enabled: findingId !== undefined,
    placeholderData: (previous) => previous,
  });
}

/** Everything that changes the catalogue changes trays, parts and graphs too: all are asked anew. */
export function useAuditWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (work: () => Promise<unknown>) => work(),
    onSettled: () => queries.invalidateQueries(),
  });
}
