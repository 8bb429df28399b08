import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { call } from '../wire/call.ts';

const KEY = ['house rules'] as const;

export const useHouseRules = () => useQuery({ queryKey: KEY, queryFn: () => call('getHouseRules', {}) });

/** Chooses a school; trays and slips are asked for anew, for they rest on it. */
export function useChooseRule() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (request: RequestOf<'chooseHouseRule'>) => call('chooseHouseRule', request),
    onSettled: () => {
      for (const key of [KEY, ['tray'], ['slips'], ['waiting']]) void queries.invalidateQueries({ queryKey: key });
    },
  });
}
