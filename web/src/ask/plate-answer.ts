import { toast } from '../controls/toast.ts';
import { useChangeSlip } from '../counter/use-change-slip.ts';
import { useCounter } from '../counter/use-counter.ts';
import { slipCall } from '../counter/slip-call.ts';
import { nameNewSlip } from '../counter/slip-outbox.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { call } from '../wire/call.ts';
import { keepSaid } from '../counter/said-shelf.ts';

/**
 * Asks the register for a plate: what it knows fills the slip's vehicle and is said of the engine. Without a slip one is
 * begun, for the vehicle is the customer's.
 */
export function useTakePlate(): (plate: string) => Promise<void> {
  const { go } = useCounter();
  const change = useChangeSlip();
  const write = useSlipWrite();
  return async (typed) => {
    const plate = typed.trim().toUpperCase();
    try {
      const found = await call('lookUpPlate', { query: { plate } });
      if (found.kind !== 'found') {
        toast(`${plate}: ${found.says}`);
        return;
      }
      const vehicle = `${found.says.replace(/\.$/, '')}, ${plate}`;
      const current = change({ vehicle }, `vehicle: ${vehicle}`);
      const slipId = current ?? nameNewSlip();
      if (!current) write.mutate(slipCall('createSlip', { body: { vehicle } }, 'new slip'), {}, slipId);
      keepSaid(slipId, found.statements);
      go('/counter/engine', { slip: slipId });
      toast(`${plate}: ${found.says} Told by the ${found.register}.`);
    } catch (error) {
      toast.error(error instanceof Error ? error.message : 'The register could not be asked. Nothing was changed.');
    }
  };
}
