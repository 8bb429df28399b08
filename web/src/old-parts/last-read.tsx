import type { SlipKept } from '@brackenfell/contract/slip-kept';
import { printDate } from '@brackenfell/core/words/moments';
import { useCounter } from '../counter/use-counter.ts';
import { useVehicle } from '../garage/use-garage.ts';

/** What was read of this vehicle the time before, to be held against what is read now. */
export function LastRead({ kind }: { readonly kind: SlipKept['kind'] }) {
  const { slip } = useCounter();
  const vehicle = useVehicle(slip.data?.garage?.vehicleId);
  const before = vehicle.data?.found.filter((one) => one.kind === kind && one.docket !== slip.data?.docket);
  if (!before || before.length === 0) return null;
  return (
    <section aria-label="Read before" className="set-up-panel">
      <h2 className="text-lead font-semibold">Read before</h2>
      <ul>
        {before.map(({ says, at }) => (
          <li key={`${at} ${says}`}>
            <span className="text-soft">{printDate(at)}</span> {says}
          </li>
        ))}
      </ul>
    </section>
  );
}
