import { useCounter } from './use-counter.ts';
import { slipCall } from './slip-call.ts';
import { nameNewSlip } from './slip-outbox.ts';
import { useSlipWrite } from './use-slip-write.ts';

/**
 * The slip in hand, begun first when there is none, with what the desk already knows. Gives its id at once: one of our own
 * until the server has answered, so that what follows need not wait for it.
 */
export function useBeginSlip() {
  const { slipId, ofSlip, inHand, build, staying, duty, go } = useCounter();
  const write = useSlipWrite();
  return (engineId: string | undefined): string => {
    // The address is ahead of what is drawn where the next answer comes on the heels of the first.
    const begun = slipId ?? new URLSearchParams(window.location.search).get('slip') ?? undefined;
    if (begun !== undefined) {
      // An engine picked before the slip knew it goes on the slip first, so that what follows is judged for it.
      if (engineId && ofSlip === null)
        write.mutate(
          slipCall('changeSlip', { params: { slipId: begun }, body: { engineId } }, 'engine chosen'),
          {},
          begun,
        );
      return begun;
    }
    const name = nameNewSlip();
    const body = {
      ...(engineId ? { engineId } : {}),
      ...(inHand ? { inHandPartId: inHand } : {}),
      ...(build ? { build } : {}),
      ...(staying ? { staying } : {}),
      ...(duty ? { duty } : {}),
    };
    write.mutate(slipCall('createSlip', { body }, 'new slip'), {}, name);
    go(window.location.pathname, { slip: name }, { replace: true });
    return name;
  };
}
