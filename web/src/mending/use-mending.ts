import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { call } from '../wire/call.ts';

const keyOf = (partId: string) => ['mending', partId] as const;

export const useMending = (partId: string) =>
  useQuery({ queryKey: keyOf(partId), queryFn: () => call('getMending', { params: { partId } }) });

/** What a change would make of verdicts; asked once its value is one. */
export const useConsequences = (partId: string, change: MendingChange | undefined) =>
  useQuery({
    queryKey: [...keyOf(partId), 'would', change],
    queryFn: () => call('previewMending', { params: { partId }, body: { change: change! } }),
    enabled: change !== undefined,
  });

/** A change, or one taken back. What is told of the part anywhere is asked for anew. */
export function useMend(partId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (work: MendingChange | { readonly undo: string }): Promise<Mending> =>
      'undo' in work
        ? call('undoMending', { params: { partId }, body: { entryId: work.undo } })
        : call('mendPart', { params: { partId }, body: { change: work } }),
    onSuccess: (mending) => queries.setQueryData(keyOf(partId), mending),
    // What is recorded stands with its answer: nobody waits until all that follows from it has been asked for.
    onSettled: () => {
      for (const key of [['part'], ['tray'], ['slips'], ['audit'], ['mending']])
        void queries.invalidateQueries({ queryKey: key });
    },
  });
}
