import { useState } from 'react';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { TextField } from '../controls/body-form.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { MendForm } from './mend-form.tsx';
import { useMend } from './use-mending.ts';

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
export function NamesPanel({ mending: { partId, names } }: { readonly mending: Mending }) {
  const [isAdding, setAdding] = useState(false);
  const mend = useMend(partId);
  return (
    <section aria-label="Names" className="mt-3 border-t border-line pt-2">
      <h2 className="text-lead font-semibold">Names</h2>
      <ul className="max-w-3xl">
        {names.map(({ nameId, as, printed }, i) => (
          <li key={nameId} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            <b className="num font-semibold">{printed}</b>
            <span className="text-soft">{i === 0 ? 'what it is called by' : AS_WORDS[as]}</span>
            {i > 0 && (
              <span className="ml-auto">
                <SureButton
                  asks={`Take ${printed} off …`}
                  sure="Take it off; it can be taken back"
                  onSure={() => mend.mutate({ what: 'unname', nameId })}
                />
              </span>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={mend.error} />
      {isAdding ? (
        <NameForm partId={partId} onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="button-quiet" onClick={() => setAdding(true)}>
          Add a name
        </button>
      )}
    </section>
  );
}

function NameForm({ partId, onDone }: { readonly partId: string; readonly onDone: () => void }) {
  const [as, setAs] = useState<As>('stamping');
  const [printed, setPrinted] = useState('');
  const change: MendingChange | undefined =
    printed.trim().length < 2 ? undefined : { what: 'name', as, printed: printed.trim() };
  return (
    <MendForm partId={partId} label="A name" says="Record the name" change={change} onDone={onDone}>
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
    </MendForm>
  );
}
