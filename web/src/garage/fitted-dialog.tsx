import { oneOf } from '@brackenfell/core/quantities/plain-figure';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { OneOf } from '../controls/one-of.tsx';
import { AskedBack } from '../measuring/asked-back.tsx';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { useOnceFound } from '../part/once-found.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { DayField } from './day-field.tsx';
import { readServed } from './served-field.ts';
import { useGarageWrite } from './use-garage.ts';

const HOWS = [
  { value: 'known', says: 'known: a bill, our own record' },
  { value: 'said', says: 'only said' },
] as const;

interface Form {
  readonly text: string;
  readonly part: FoundPart | undefined;
  readonly quantity: string;
  readonly on: string;
  readonly served: string;
  readonly how: 'known' | 'said';
}
const EMPTY: Form = { text: '', part: undefined, quantity: '4', on: '', served: '', how: 'said' };

/** What sits in it and was not sold here: known with its day or distance, or only said, and then due now. */
export function FittedDialog({ vehicle, onClose }: { readonly vehicle: GarageVehicle; readonly onClose: () => void }) {
  const { units } = useSettings();
  const draft = useDraftOf<Form>(`fitted ${vehicle.vehicleId}`, EMPTY);
  const { text, part, quantity, on, served, how } = draft.value;
  const once = useOnceFound();
  const change = (next: Partial<Form>) => {
    once.end();
    draft.set({ ...draft.value, ...next });
  };
  const write = useGarageWrite();
  const reading = readServed(served, vehicle.countsIn, units);
  const run = oneOf(reading);
  const pieces = /^[1-9]\d?$/.test(quantity.trim()) ? Number(quantity) : undefined;
  const isKnown = how === 'said' || on !== '' || run !== undefined;
  const isWhole = pieces !== undefined && pieces <= 48 && isKnown && (served.trim() === '' || run !== undefined);
  const send = (partId: string) => {
    if (!isWhole || write.isPending) return;
    const body = { partId, quantity: pieces, on: on || null, served: run ?? null, how };
    write.mutate(() => call('addFittedRecord', { params: { vehicleId: vehicle.vehicleId }, body }), {
      onSuccess: () => {
        draft.clear();
        onClose();
      },
    });
  };
  const store = () => {
    if (part) send(part.partId);
    else once.wait();
  };
  return (
    <Dialog title={`What sits in ${vehicle.called}`} onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          store();
        }}
      >
        <div className="grid gap-1">
          <span className="text-slate">Number</span>
          <NumberField
            label="Number"
            text={text}
            part={part}
            first
            onChange={(next, found) => {
              change({ text: next, part: found });
              if (found && once.isDue) send(found.partId);
            }}
          />
        </div>
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">Pieces</span>
          <input
            className="field num"
            inputMode="numeric"
            value={quantity}
            maxLength={2}
            onChange={(event) => change({ quantity: event.target.value })}
          />
        </label>
        <OneOf label="It is" value={how} options={HOWS} onChange={(value) => change({ how: value })} />
        <DayField label="Fitted on" value={on} onChange={(value) => change({ on: value })} />
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">It had run then</span>
          <input
            className="field num"
            value={served}
            maxLength={24}
            spellCheck={false}
            onChange={(event) => change({ served: event.target.value })}
          />
        </label>
        <AskedBack reading={reading} onChoose={(value) => change({ served: value })} />
        {!isKnown && <p className="text-soft">Known is what has its day or its distance.</p>}
        <p className="flex items-center gap-3">
          <button type="submit" className="button-act" disabled={!isWhole || (!part && !once.isLooking)}>
            Write it down
          </button>
          {once.isDue && once.isLooking && <span role="status">As soon as its number is found.</span>}
        </p>
      </form>
    </Dialog>
  );
}
