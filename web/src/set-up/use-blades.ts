import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { USUAL_BLADES, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { BladesOwned } from '@brackenfell/contract/set-up';
import { call } from '../wire/call.ts';

const KEY = ['blades'];

/** Blades to reckon with. */
export interface Blades {
  readonly blades: readonly OwnedBlade[];
  /** Which are owned could not be asked: these are a usual set. */
  readonly areAssumed: boolean;
}

/** The shop’s feeler blades, a usual set where nobody has said which there are; undefined while they are asked for. */
export function useBlades(): { readonly known: Blades | undefined; readonly owned: BladesOwned | undefined } {
  const { data: owned, error } = useQuery({ queryKey: KEY, queryFn: () => call('getBlades', {}) });
  const known = owned
    ? { blades: owned.blades ?? USUAL_BLADES, areAssumed: false }
    : error
      ? { blades: USUAL_BLADES, areAssumed: true }
      : undefined;
  return { known, owned };
}

export function useSaveBlades() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (blades: readonly OwnedBlade[]) => call('saveBlades', { body: { blades: [...blades] } }),
    onSuccess: (saved: BladesOwned) => queries.setQueryData(KEY, saved),
    onError: (error: Error) => toast.error(error.message),
  });
}
