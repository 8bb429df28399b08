import { useCounter } from '../counter/use-counter.ts';
import { useChangeSlip } from '../counter/use-change-slip.ts';

/** Says what the engine is used for: on the slip where there is one, and in the address. */
export function useSetDuty() {
  const { go } = useCounter();
  const change = useChangeSlip();
  return (duty: string) => {
    change({ duty }, 'duty');
    go(window.location.pathname, { duty: duty || null }, { replace: true });
  };
}
