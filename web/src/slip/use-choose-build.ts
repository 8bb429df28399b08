import { useCounter } from '../frame/use-counter.ts';
import { slipCall, useSlipWrite } from './use-slip.ts';

/** Says which build of the engine it is: on the slip where there is one, and in the address. */
export function useChooseBuild() {
  const { slip, go } = useCounter();
  const write = useSlipWrite();
  return (engineId: string, build: string | null) => {
    const current = slip.data;
    if (current?.state === 'open' && current.engineId === engineId)
      write.mutate(
        slipCall('changeSlip', { params: { slipId: current.slipId }, body: { version: current.version, build } }),
      );
    go(window.location.pathname, { build }, { replace: true });
  };
}
