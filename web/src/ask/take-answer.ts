import { useNavigate } from 'react-router';
import { toast } from '../controls/toast.ts';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import type { PartAnswer } from '@brackenfell/contract/ask';
import type { AskedDimensions } from '@brackenfell/contract/dimensions';
import { useCounter } from '../counter/use-counter.ts';
import { useChangeSlip } from '../counter/use-change-slip.ts';
import { useTakePlate } from './plate-answer.ts';
import type { Take } from './takers.ts';

/** What taking an answer does: the engine goes on the slip, a part becomes the one in hand. */
export function useTake(done: () => void): Take {
  const { go, engineId, inHand } = useCounter();
  const change = useChangeSlip();
  const navigate = useNavigate();
  const takePlate = useTakePlate();
  return {
    part: (part: PartAnswer) => {
      done();
      const isPart = isPartKind(part.kind);
      // A question about a number does not take the place of what is in the customer's hand.
      const as = inHand !== undefined && inHand !== part.partId ? 'asked' : 'inHand';
      if (engineId && isPart) {
        go('/counter/parts', {
          [as]: part.partId,
          row: part.partId,
          part: part.kind === 'plug' ? null : part.kind,
        });
        toast(`${part.number} is picked in the tray.`);
      } else go(`/parts/${part.partId}`, isPart ? { [as]: part.partId } : {});
    },
    engine: (id: string, vehicle?: string) => {
      done();
      change({ engineId: id, ...(vehicle ? { vehicle } : {}) }, 'what the slip is for');
      go('/counter/parts', { engine: id });
    },
    slip: (slipId: string) => {
      done();
      void navigate(`/slips/${slipId}`);
    },
    garage: (vehicleId: string) => {
      done();
      void navigate(`/garage/vehicles/${vehicleId}`);
    },
    measured: (measured: AskedDimensions) => {
      done();
      const query = new URLSearchParams(
        Object.entries(measured).map(([name, value]): [string, string] => [name, String(value)]),
      );
      void navigate(`/catalogue/dimensions?${query.toString()}`);
    },
    plate: (plate: string) => {
      done();
      void takePlate(plate);
    },
    batch: (batchId: string) => {
      done();
      void navigate(`/quarantine/batches/${batchId}`);
    },
  };
}
