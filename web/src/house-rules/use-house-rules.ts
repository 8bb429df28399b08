import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { call } from '../wire/call.ts';

const KEY = ['house rules'] as const;

export const useHouseRules = () => useQuery({ queryKey: KEY, queryFn: () => call('getHouseRules', {}) });

type Choosing = RequestOf<'chooseHouseRule'> | RequestOf<'chooseUnderCondition'>;

/** Chooses a school, everywhere or under a condition; trays and slips are asked for anew, for they rest on it. */
export function useChooseRule() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (request: Choosing) =>
      'condition' in request.params
        ? call('chooseUnderCondition', request as RequestOf<'chooseUnderCondition'>)
        : call('chooseHouseRule', request as RequestOf<'chooseHouseRule'>),
    onSettled: () => {
      for (const key of [KEY, ['tray'], ['slips'], ['waiting'], ['fitting plan']])
        void queries.invalidateQueries({ queryKey: key });
    },
  });
}
