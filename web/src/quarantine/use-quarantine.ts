import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import { call } from '../wire/call.ts';

export const useBatches = () => useQuery({ queryKey: ['batches'], queryFn: () => call('listBatches', { query: {} }) });

export const useBatch = (batchId: string | undefined) =>
  useQuery({
    queryKey: ['batch', batchId],
    queryFn: () => call('getBatch', { params: { batchId: batchId! } }),
    enabled: batchId !== undefined,
  });

export const useSellers = () => useQuery({ queryKey: ['sellers'], queryFn: () => call('listSellers', {}) });

/** A write in the quarantine: whatever rests on a batch is asked for anew. */
export function useQuarantineWrite<T>() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (write: () => Promise<T>) => write(),
    onError: (error) => toast.error(error.message),
    onSettled: () => {
      for (const key of [
        'batches',
        'batch',
        'sellers',
        'slips',
        'tray',
        'inspection',
        'inspections',
        'deliveries',
        'references',
      ])
        void queries.invalidateQueries({ queryKey: [key] });
    },
  });
}
