import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import type { ToolLoan } from '@brackenfell/contract/loan';
import { call } from '../wire/call.ts';

/** Tools that are lent: on one slip, or all. */
export function useLoans(slipId: string | undefined) {
  return useQuery({
    queryKey: ['loans', slipId ?? 'all'],
    queryFn: () => call('listLoans', { query: slipId === undefined ? {} : { slip: slipId } }),
  });
}

/** A write on loans; what is shown of them follows. */
export function useLoanWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (write: () => Promise<ToolLoan>) => write(),
    onError: (error) => toast.error(`${error.message} Nothing was changed.`),
    onSettled: () => void queries.invalidateQueries({ queryKey: ['loans'] }),
  });
}
