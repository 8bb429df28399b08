import { inOurMoney } from '@brackenfell/core/words/money';
import { oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { call } from '../wire/call.ts';
import { useGarageWrite } from './use-garage.ts';

/** What was advised and declined: kept, and raised once the next time the vehicle comes. */
export function DeclinedDialog({
  vehicle,
  onClose,
}: {
  readonly vehicle: GarageVehicle;
  readonly onClose: () => void;
}) {
  const draft = useDraftOf(`declined ${vehicle.vehicleId}`, { says: '', price: '' });
  const { says, price } = draft.value;
  const reading = readPence(price);
  const write = useGarageWrite();
  const isReady = says.trim() !== '' && reading?.kind !== 'unreadable';
  const store = () => {
    if (!isReady || write.isPending) return;
    const body = { says: says.trim(), priceMinor: oneOf(reading) ?? null };
    write.mutate(() => call('declineAdvice', { params: { vehicleId: vehicle.vehicleId }, body }), {
      onSuccess: () => {
        draft.clear();
        onClose();
      },
    });
  };
  return (
    <Dialog title="Advice that was declined" onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          store();
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">What was advised</span>
          <input
            className="field"
            autoFocus
            value={says}
            maxLength={200}
            onChange={(event) => draft.set({ ...draft.value, says: event.target.value })}
          />
        </label>
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">{inOurMoney('For, £')}</span>
          <input
            className="field num"
            value={price}
            maxLength={12}
            onChange={(event) => draft.set({ ...draft.value, price: event.target.value })}
          />
        </label>
        <AskedBack reading={reading} onChoose={(value) => draft.set({ ...draft.value, price: value })} />
        <button type="submit" className="button-act justify-self-start" disabled={!isReady}>
          Keep it
        </button>
      </form>
    </Dialog>
  );
}
