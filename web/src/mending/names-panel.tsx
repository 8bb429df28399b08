import { useState } from 'react';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { TextField } from '../controls/body-form.tsx';
import { MendForm } from './mend-form.tsx';
import { MendPanel } from './mend-panel.tsx';

type As = Mending['names'][number]['as'];

const AS_WORDS: Readonly<Record<As, string>> = {
  catalogue: 'catalogue number',
  stamping: 'stamped on it',
  stock: 'our own number',
  barcode: 'barcode',
  oe: 'engine maker’s number',
  box: 'on its box',
};

/** What a part is called, in catalogues, on itself, on its box: by any of these it is found. */
export const NamesPanel = ({ mending: { partId, names } }: { readonly mending: Mending }) => (
  <MendPanel
    partId={partId}
    label="Names"
    adds="Add a name"
    rows={names.map(({ nameId, as, printed }, i) => ({
      key: nameId,
      line: (
        <>
          <b className="num font-semibold">{printed}</b>
          <span className="text-soft">{i === 0 ? 'what it is called by' : AS_WORDS[as]}</span>
        </>
      ),
      ...(i === 0
        ? {}
        : {
            away: {
              asks: `Take ${printed} off …`,
              sure: 'Take it off; it can be taken back',
              change: { what: 'unname' as const, nameId },
            },
          }),
    }))}
    form={(onDone) => <NameForm partId={partId} onDone={onDone} />}
  />
);

function NameForm({ partId, onDone }: { readonly partId: string; readonly onDone: () => void }) {
  const [as, setAs] = useState<As>('stamping');
  const [printed, setPrinted] = useState('');
  const change: MendingChange | undefined =
    printed.trim().length < 2 ? undefined : { what: 'name', as, printed: printed.trim() };
  return (
    <MendForm partId={partId} label="A name" says="Record the name" change={change} onDone={onDone}>
      <div className="flex flex-wrap items-start gap-3">
        <TextField
          label="as it is printed"
          className="num"
          autoFocus
          maxLength={60}
          value={printed}
          onChange={(event) => setPrinted(event.target.value)}
        />
        <label className="grid gap-1">
          <span className="text-slate">it is</span>
          <select className="field" data-choice value={as} onChange={(event) => setAs(event.target.value as As)}>
            {Object.entries(AS_WORDS).map(([one, words]) => (
              <option key={one} value={one}>
                {words}
              </option>
            ))}
          </select>
        </label>
      </div>
    </MendForm>
  );
}
