import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import type { EndpointName, RequestOf } from '@brackenfell/contract/endpoints';
import type { Slip } from '@brackenfell/contract/slip';
import { call, ProblemError } from '../wire/call.ts';

const keyOf = (slipId: string | undefined) => ['slips', slipId] as const;

export function useSlip(slipId: string | undefined) {
  return useQuery({
    queryKey: keyOf(slipId),
    queryFn: () => call('getSlip', { params: { slipId: slipId! } }),
    enabled: slipId !== undefined,
    refetchInterval: 15_000,
  });
}

export function useSlips(state: 'open' | 'parked' | 'closed') {
  return useQuery({
    queryKey: ['slips', 'list', state],
    queryFn: () => call('listSlips', { query: { state } }),
    refetchOnMount: 'always',
  });
}

type SlipWrite = Extract<
  EndpointName,
  | 'createSlip'
  | 'changeSlip'
  | 'parkSlip'
  | 'takeOverSlip'
  | 'closeSlip'
  | 'reopenSlip'
  | 'addLine'
  | 'changeLine'
  | 'removeLine'
  | 'restoreLine'
  | 'addNote'
>;

/** One write to a slip; the answer is the slip as it stands and replaces what is shown. */
export interface SlipCall<N extends SlipWrite = SlipWrite> {
  readonly name: N;
  readonly request: RequestOf<N>;
}

export const slipCall = <N extends SlipWrite>(name: N, request: RequestOf<N>): SlipCall =>
  ({ name, request }) as unknown as SlipCall;

/**
 * Writes to slips. A write that a colleague's change overtook says so and shows the slip as it stands now. The key makes a
 * retry of the same press harmless.
 */
export function useSlipWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ name, request }: SlipCall): Promise<Slip> => call(name, request as never),
    onSuccess: (slip) => {
      queries.setQueryData(keyOf(slip.slipId), slip);
      void queries.invalidateQueries({ queryKey: ['slips', 'list'] });
    },
    onError: (error) => {
      toast.error(error.message);
      if (error instanceof ProblemError && error.problem.code === 'changed-meanwhile')
        void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
}
