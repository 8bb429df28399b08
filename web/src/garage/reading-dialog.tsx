import { useState } from 'react';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { oneOf } from '@brackenfell/core/quantities/plain-figure';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { OneOf } from '../controls/one-of.tsx';
import { AskedBack } from '../measuring/asked-back.tsx';
import { useSettings } from '../settings/settings.ts';
import { call, ProblemError } from '../wire/call.ts';
import { todayHere } from '../controls/moment.ts';
import { DayField } from './day-field.tsx';
import { readServed } from './served-field.ts';
import { useGarageWrite } from './use-garage.ts';

const HOWS = [
  { value: 'read', says: 'read off it' },
  { value: 'said', says: 'said by somebody' },
] as const;

interface Form {
  readonly text: string;
  readonly on: string;
  readonly how: 'read' | 'said';
}

interface ReadingDialogProps {
  readonly vehicle: GarageVehicle;
  readonly onClose: () => void;
}

/** What the server asks back of the figure. */
const questionOf = (error: Error): string | undefined =>
  error instanceof ProblemError ? error.problem.fields?.served : undefined;

/** What it has run, by day; what can hardly be right is asked once, right here, and taken when it is meant. */
export function ReadingDialog({ vehicle, onClose }: ReadingDialogProps) {
  const { units } = useSettings();
  const draft = useDraftOf<Form>(`reading ${vehicle.vehicleId}`, {
    text: '',
    on: todayHere(),
    how: 'read',
  });
  const { text, on, how } = draft.value;
  const [question, ask] = useState<string>();
  const write = useGarageWrite((error) => questionOf(error) !== undefined);
  const reading = readServed(text, vehicle.countsIn, units);
  const served = oneOf(reading);
  const change = (next: Partial<typeof draft.value>) => {
    ask(undefined);
    draft.set({ ...draft.value, ...next });
  };
  const store = (isSure: boolean) => {
    if (served === undefined || write.isPending) return;
    const body = { on, served, how, isSure };
    write.mutate(() => call('addServedReading', { params: { vehicleId: vehicle.vehicleId }, body }), {
      onError: (error) => ask(questionOf(error)),
      onSuccess: () => {
        draft.clear();
        onClose();
      },
    });
  };
  return (
    <Dialog title={`What ${vehicle.called} has run`} onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          store(false);
        }}
      >
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">{vehicle.countsIn === 'hours' ? 'Hours' : 'Distance'}</span>
          <input
            className="field num"
            autoFocus
            value={text}
            maxLength={24}
            spellCheck={false}
            onChange={(event) => change({ text: event.target.value })}
          />
        </label>
        <AskedBack reading={reading} onChoose={(value) => change({ text: value })} />
        <DayField label="On" value={on} onChange={(value) => change({ on: value })} />
        <OneOf label="It was" value={how} options={HOWS} onChange={(value) => change({ how: value })} />
        {question && (
          <div role="alert" className="grid gap-1 text-heather">
            <p>{question}</p>
            <button type="button" className="button-plain justify-self-start" onClick={() => store(true)}>
              It is right: write it down
            </button>
          </div>
        )}
        <button type="submit" className="button-act justify-self-start" disabled={served === undefined || on === ''}>
          Write it down
        </button>
      </form>
    </Dialog>
  );
}
