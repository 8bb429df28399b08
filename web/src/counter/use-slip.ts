import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Slip } from '@brackenfell/contract/slip';
import type { SlipState } from '@brackenfell/core/slip/slip-states';
import { call } from '../wire/call.ts';
import { isUnsentSlip, sawSlip } from './slip-outbox.ts';

export function useSlip(slipId: string | undefined) {
  const slip = useQuery({
    queryKey: ['slips', slipId],
    queryFn: async ({ client }) => {
      const fetched = await call('getSlip', { params: { slipId: slipId! } });
      // What was asked for before a write and comes after its answer is of before: it does not lay itself over it.
      const held = client.getQueryData<Slip>(['slips', slipId]);
      return held && held.version > fetched.version ? held : fetched;
    },
    enabled: slipId !== undefined && !isUnsentSlip(slipId),
  });
  const { data } = slip;
  useEffect(() => {
    if (data) sawSlip(data);
  }, [data]);
  return slip;
}

interface Listed {
  readonly states: readonly SlipState[];
  readonly q?: string;
  readonly day?: string;
}

export function useSlips({ states, q = '', day = '' }: Listed) {
  return useQuery({
    queryKey: ['slips', 'list', states, q, day],
    queryFn: () =>
      call('listSlips', {
        query: { states: states.join(','), ...(q === '' ? {} : { q }), ...(day === '' ? {} : { day }) },
      }),
    refetchOnMount: 'always',
    placeholderData: keepPreviousData,
  });
}
