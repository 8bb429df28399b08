import type { SentDetails } from '@brackenfell/core/slip/details';
import { slipCall } from './slip-call.ts';
import { isUnsentSlip, useSlipWrite } from './slip-outbox.ts';
import { useCounter } from './use-counter.ts';

/** Writes what the slip in hand is for, also on one that has no number yet. Gives its id; undefined where none is open. */
export function useChangeSlip(): (details: SentDetails, says: string) => string | undefined {
  const { slip, slipId } = useCounter();
  const write = useSlipWrite();
  return (details, says) => {
    const isOpen = slip.data ? slip.data.state === 'open' : isUnsentSlip(slipId);
    if (!slipId || !isOpen) return undefined;
    write.mutate(slipCall('changeSlip', { params: { slipId }, body: details }, says), {}, slipId);
    return slipId;
  };
}
