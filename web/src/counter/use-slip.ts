import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { SlipState } from '@brackenfell/core/slip/slip-states';
import { call } from '../wire/call.ts';
import { isUnsentSlip, sawSlip } from './slip-outbox.ts';

export function useSlip(slipId: string | undefined) {
  const slip = useQuery({
    queryKey: ['slips', slipId],
    queryFn: () => call('getSlip', { params: { slipId: slipId! } }),
    enabled: slipId !== undefined && !isUnsentSlip(slipId),
    refetchInterval: 15_000,
  });
  const { data } = slip;
  useEffect(() => {
    if (data) sawSlip(data);
  }, [data]);
  return slip;
}

export function useSlips(state: SlipState, enabled = true) {
  return useQuery({
    queryKey: ['slips', 'list', state],
    queryFn: () => call('listSlips', { query: { state } }),
    refetchOnMount: 'always',
    enabled,
  });
}
