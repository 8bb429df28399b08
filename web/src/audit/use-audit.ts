import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../wire/call.ts';

/** The latest audit; how far it has come is told on the live line. */
export const useAudit = () => useQuery({ queryKey: ['audit'], queryFn: () => call('getAudit', {}) });

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
