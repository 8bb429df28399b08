import { useCounter } from './use-counter.ts';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './slip-outbox.ts';

interface Said {
  /** The build, by its label. */
  readonly build?: string | null;
  /** Revision of the coils that stay in the engine. */
  readonly staying?: string | null;
}

/** Says more of the engine in hand: on the slip where there is one, and in the address. */
export function useSayEngine() {
  const { slip, go } = useCounter();
  const write = useSlipWrite();
  return (engineId: string, said: Said) => {
    const current = slip.data;
    if (current?.state === 'open' && current.engineId === engineId)
      write.mutate(slipCall('changeSlip', { params: { slipId: current.slipId }, body: said }, 'more of the engine'));
    go(window.location.pathname, { ...said }, { replace: true });
  };
}
