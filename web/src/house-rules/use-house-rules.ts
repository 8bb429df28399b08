import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import type { HouseRulesView } from '@brackenfell/contract/house-rules';
import { call } from '../wire/call.ts';

const KEY = ['house rules'] as const;

export const useHouseRules = () => useQuery({ queryKey: KEY, queryFn: () => call('getHouseRules', {}) });

type Unversioned<R extends { body: object }> = Omit<R, 'body'> & { readonly body: Omit<R['body'], 'version'> };
type Choosing = Unversioned<RequestOf<'chooseHouseRule'>> | Unversioned<RequestOf<'chooseUnderCondition'>>;

/**
 * Chooses a school, everywhere or under a condition; trays and slips are asked for anew, for they rest on it. Of two choices made
 * one upon the other the second waits and goes by what the first left: nobody stands in their own way.
 */
export function useChooseRule() {
  const queries = useQueryClient();
  return useMutation({
    scope: { id: KEY[0] },
    mutationFn: ({ params, body }: Choosing) => {
      const { version } = queries.getQueryData<HouseRulesView>(KEY)!;
      const request = { params, body: { ...body, version } };
      return 'condition' in params
        ? call('chooseUnderCondition', request as RequestOf<'chooseUnderCondition'>)
        : call('chooseHouseRule', request as RequestOf<'chooseHouseRule'>);
    },
    onSuccess: ({ version, rules }) => queries.setQueryData<HouseRulesView>(KEY, { version, rules }),
    onSettled: () => {
      for (const key of [KEY, ['tray'], ['slips'], ['waiting'], ['fitting plan']])
        void queries.invalidateQueries({ queryKey: key });
    },
  });
}
