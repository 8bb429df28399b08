import type { SentDetails } from '@brackenfell/core/slip/details';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './use-slip-write.ts';
import { useCounter } from './use-counter.ts';

/** Writes what the slip in hand is for, also on one that has no number yet or is still fetched. Gives its id; undefined where none is open. */
export function useChangeSlip(): (details: SentDetails, says: string) => string | undefined {
  const { slip, slipId } = useCounter();
  const write = useSlipWrite();
  return (details, says) => {
    if (!slipId || (slip.data && slip.data.state !== 'open')) return undefined;
    write.mutate(slipCall('changeSlip', { params: { slipId }, body: details }, says), {}, slipId);
    return slipId;
  };
}
