import { Link } from 'react-router';
import type { Slip } from '@brackenfell/contract/slip';
import { Key } from '../controls/key.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { meant } from '../counter/meant.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { useRaise } from './use-raise.ts';

/** Puts a slip's vehicle into the garage book, or ties the slip to it: kept until the server has it. */
export function useRemember(slip: Slip): (() => void) | undefined {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const isOnItsWay = unsent.some(({ name }) => name === 'rememberVehicle');
  const isSomebody = (['customer', 'phone', 'vehicle'] as const).some((field) => meant(slip, field, unsent) !== '');
  if (slip.garage !== null || isOnItsWay || !isSomebody) return undefined;
  return () =>
    write.mutate(
      slipCall(
        'rememberVehicle',
        { params: { slipId: slip.slipId }, body: { vehicleId: null } },
        'remember the vehicle',
      ),
    );
}

/** The slip's vehicle in the garage book, and what was declined before: raised once, here. */
export function SlipGarage({ slip, remember }: { readonly slip: Slip; readonly remember: (() => void) | undefined }) {
  const raise = useRaise();
  if (slip.garage === null)
    return remember ? (
      <p className="border-b border-hair px-3 py-1">
        <button type="button" className="button-quiet" onClick={remember}>
          Remember the vehicle <Key>Shift r</Key>
        </button>
      </p>
    ) : null;
  const { vehicleId, called, toRaise } = slip.garage;
  return (
    <div className="grid gap-1 border-b border-hair px-3 py-1">
      <p>
        <span className="text-slate">In the garage book: </span>
        <Link className="underline" to={`/garage/vehicles/${vehicleId}`}>
          {called}
        </Link>
      </p>
      {toRaise.map(({ declinedId, says }) => (
        <div
          key={declinedId}
          role="group"
          aria-label="Declined before"
          className="grid gap-1 bg-bracken-wash px-2 py-1"
        >
          <p>
            Declined before, raise it once: <b className="font-semibold">{says}</b>
          </p>
          <p className="flex flex-wrap gap-2">
            <SureButton
              asks="Taken now"
              sure="Taken: close it"
              onSure={() => raise({ vehicleId, declinedId, taken: true })}
            />
            <SureButton
              asks="Declined again"
              sure="Declined: never raise it again"
              onSure={() => raise({ vehicleId, declinedId, taken: false })}
            />
          </p>
        </div>
      ))}
    </div>
  );
}
