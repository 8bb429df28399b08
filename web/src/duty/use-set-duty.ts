import { useCounter } from '../frame/use-counter.ts';
import { slipCall } from '../slip/slip-call.ts';
import { useSlipWrite } from '../slip/slip-outbox.ts';

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
