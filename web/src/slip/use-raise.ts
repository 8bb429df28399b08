import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { call } from '../wire/call.ts';

interface Raised {
  readonly vehicleId: string;
  readonly declinedId: string;
  readonly taken: boolean;
}

/** Notes that declined advice was raised, and what came of it: it is not raised again. */
export function useRaise(): (raised: Raised) => void {
  const queries = useQueryClient();
  const { mutate } = useMutation({
    mutationFn: ({ vehicleId, declinedId, taken }: Raised) =>
      call('raiseAdvice', { params: { vehicleId, declinedId }, body: { taken } }),
    onError: (error) => toast.error(`${error.message} Nothing was changed.`),
    onSettled: () => {
      for (const key of ['slips', 'garage']) void queries.invalidateQueries({ queryKey: [key] });
    },
  });
  return mutate;
}
