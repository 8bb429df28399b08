import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import { USUAL_BLADES, USUAL_THOU_BLADES, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { BladesOwned as Owned } from '@brackenfell/contract/set-up';
import { useDraftOf } from '../controls/draft.ts';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { useSaveBlades } from '../set-up/use-blades.ts';
import { printBlades, readBlades, type TypedBlades } from './typed-blades.ts';

interface BladesOwnedProps {
  readonly owned: Owned;
  readonly blades: readonly OwnedBlade[];
}

/** The shop's own blades, of both systems: what is missing in its drawer is not reckoned with. */
export function BladesOwned({ owned, blades }: BladesOwnedProps) {
  const { data: me } = useSession();
  const [mending, mend] = useState(false);
  const mayMend = me?.role === 'specialist' || me?.role === 'supervisor';
  useKeys('Blades', [{ press: 'e', does: 'Mend the list of blades owned', run: () => mend(true) }], {
    active: mayMend,
  });
  return (
    <section aria-label="Blades owned" className="grid gap-1 border-t border-line p-3">
      <h2 className="font-semibold">Blades owned</h2>
      {mending ? (
        <MendBlades blades={blades} onDone={() => mend(false)} />
      ) : (
        <>
          <p>
            <span className="num">{printBlades(blades, 'mm') || 'none'}</span> mm
          </p>
          <p>
            <span className="num">{printBlades(blades, 'thou') || 'none'}</span> thou
          </p>
          <p className="text-soft">
            {owned.by === null
              ? 'A usual set: nobody has said which blades this shop owns.'
              : `Said by ${owned.by}, ${printMoment(owned.at!)}.`}
          </p>
          {mayMend && (
            <button type="button" className="button-plain justify-self-start" onClick={() => mend(true)}>
              Mend the list <Key>e</Key>
            </button>
          )}
        </>
      )}
    </section>
  );
}

function MendBlades({ blades, onDone }: { readonly blades: readonly OwnedBlade[]; readonly onDone: () => void }) {
  const draft = useDraftOf<TypedBlades>('blades', { mm: printBlades(blades, 'mm'), thou: printBlades(blades, 'thou') });
  const save = useSaveBlades();
  const read = readBlades(draft.value);
  const field = (unit: keyof TypedBlades, label: string) => (
    <label className="grid gap-0.5">
      <span className="text-slate">{label}</span>
      <textarea
        className="field num h-20"
        autoFocus={unit === 'mm'}
        value={draft.value[unit]}
        maxLength={600}
        spellCheck={false}
        onChange={(event) => draft.set({ ...draft.value, [unit]: event.target.value })}
      />
    </label>
  );
  return (
    <form
      className="grid gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (read.kind !== 'read') return;
        save.mutate(read.blades, {
          onSuccess: () => {
            draft.clear();
            onDone();
            toast('The list of blades is kept.');
          },
        });
      }}
    >
      {field('mm', 'In hundredths of a millimetre: 0.05 0.10 …')}
      {field('thou', 'In thousandths of an inch: 2 3 4 …')}
      <p className="flex flex-wrap gap-1">
        {(
          [
            ['mm', 'the usual metric set', USUAL_BLADES],
            ['thou', 'the usual inch set', USUAL_THOU_BLADES],
          ] as const
        ).map(([unit, says, usual]) => (
          <button
            key={unit}
            type="button"
            className="button-quiet"
            onClick={() => draft.set({ ...draft.value, [unit]: printBlades(usual, unit) })}
          >
            {says}
          </button>
        ))}
      </p>
      {read.kind === 'wrong' && (
        <p role="alert" className="text-madder">
          {read.says}
        </p>
      )}
      <p className="flex gap-2">
        <button type="submit" className="button-act" disabled={read.kind !== 'read' || save.isPending}>
          Keep the list
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => {
            draft.clear();
            onDone();
          }}
        >
          Leave it as it was
        </button>
      </p>
    </form>
  );
}
