import { useCounter } from '../counter/use-counter.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/slip-outbox.ts';

/** Says what the engine is used for: on the slip where there is one, and in the address. */
export function useSetDuty() {
  const { slip, go } = useCounter();
  const write = useSlipWrite();
  return (duty: string) => {
    const current = slip.data;
    if (current?.state === 'open')
      write.mutate(slipCall('changeSlip', { params: { slipId: current.slipId }, body: { duty } }, 'duty'));
    go(window.location.pathname, { duty: duty || null }, { replace: true });
  };
}
