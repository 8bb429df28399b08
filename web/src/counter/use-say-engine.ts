import { useCounter } from './use-counter.ts';
import { useChangeSlip } from './use-change-slip.ts';

interface Said {
  /** The build, by its label. */
  readonly build?: string | null;
  /** Revision of the coils that stay in the engine. */
  readonly staying?: string | null;
}

/** Says more of the engine in hand: on the slip where there is one, and in the address. */
export function useSayEngine() {
  const { ofSlip, go } = useCounter();
  const change = useChangeSlip();
  return (engineId: string, said: Said) => {
    if (ofSlip === engineId) change(said, 'more of the engine');
    go(window.location.pathname, { ...said }, { replace: true });
  };
}
