import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { DrillView } from '@brackenfell/contract/drill';
import type { DrillTopic } from '@brackenfell/core/drill/topics';
import { toast } from '../controls/toast.ts';
import { useSession } from '../session/use-session.ts';
import { useSettings } from '../settings/settings.ts';
import { AwayError, call } from '../wire/call.ts';

/** Everybody's own: who takes the counter over sees nothing of who had it. */
const useKey = () => ['drill', useSession().data?.id] as const;

/** How practice stands, and the case in hand: kept by the server, so that a reload finds it as it was. */
export const useDrill = () => useQuery({ queryKey: useKey(), queryFn: () => call('getDrill', {}) });

/** Nothing is sent again by itself: whether it was heard is seen once the server is back. */
const AWAY = 'The server does not answer. The case is shown as it stands there once it is back.';

/** Deals a case and takes its answer. Where something went wrong, it is shown as the server has it. */
export function useDealing() {
  const queries = useQueryClient();
  const { units } = useSettings();
  const key = useKey();
  const asBefore = (error: Error) => {
    toast.error(error instanceof AwayError ? AWAY : error.message);
    return queries.invalidateQueries({ queryKey: key });
  };
  const deal = useMutation({
    mutationFn: (topic: DrillTopic | undefined) => call('dealCase', { body: { units, ...(topic ? { topic } : {}) } }),
    onSuccess: (shown) => queries.setQueryData(key, (view: DrillView | undefined) => view && { ...view, shown }),
    onError: asBefore,
  });
  const answer = useMutation({
    mutationFn: ({ caseId, choice }: { caseId: string; choice: string | null }) =>
      call('answerCase', { params: { caseId }, body: { choice } }),
    onSuccess: (view) => queries.setQueryData(key, view),
    onError: asBefore,
  });
  return { deal: deal.mutate, answer: answer.mutate, isBusy: deal.isPending || answer.isPending };
}
