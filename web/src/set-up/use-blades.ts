import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { USUAL_BLADES, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { BladesOwned } from '@brackenfell/contract/set-up';
import { call } from '../wire/call.ts';

const KEY = ['blades'];

/** The shop's feeler blades; a usual set until somebody has said which there are. */
export function useBlades() {
  const owned = useQuery({ queryKey: KEY, queryFn: () => call('getBlades', {}) });
  return { blades: owned.data?.blades ?? USUAL_BLADES, owned: owned.data };
}

export function useSaveBlades() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (blades: readonly OwnedBlade[]) => call('saveBlades', { body: { blades: [...blades] } }),
    onSuccess: (saved: BladesOwned) => queries.setQueryData(KEY, saved),
    onError: (error: Error) => toast.error(error.message),
  });
}
