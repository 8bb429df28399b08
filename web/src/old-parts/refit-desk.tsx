import { useState } from 'react';
import { PART_SIGN_IDS, PART_SIGNS, READ_PARTS, type PartSignId } from '@brackenfell/core/old-parts/other-parts';
import {
  EVENT_WORDS,
  EVENTS,
  FATE_WORDS,
  fateOf,
  GASKETS,
  type Befell,
  type GasketKind,
} from '@brackenfell/core/old-parts/refit';
import { useDraftOf } from '../controls/draft.ts';
import { Mark } from '../controls/mark.tsx';
import { OneOf } from '../controls/one-of.tsx';
import { Toggles } from '../controls/toggles.tsx';

const GASKET_WORDS: Readonly<Record<GasketKind, string>> = {
  fixed: 'its own gasket',
  loose: 'a loose gasket',
  taper: 'a cone, none',
};
const PART_WORDS = { coil: 'Coil', lead: 'Lead', cap: 'Cap', rotor: 'Rotor' } as const;
const FATE_MARKS = { discard: 'refuse', regauge: 'caution', refit: 'match' } as const;
const YES_NO = [
  { value: 'yes', says: 'Yes' },
  { value: 'no', says: 'No' },
] as const;
const AS_NEW: Befell = { event: 'none', isFineTip: false, gasket: 'fixed', wasFitted: true, isOpened: true };

/** What becomes of a plug that something befell, and what coils, leads, caps and rotors say. */
export function RefitDesk() {
  const befell = useDraftOf<Befell>('refit', AS_NEW);
  const { fate, says, mayRestock } = fateOf(befell.value);
  const [picked, pick] = useState<PartSignId>();
  const sign = picked && PART_SIGNS[picked];
  const change = (more: Partial<Befell>) => befell.set({ ...befell.value, ...more });
  return (
    <main className="desk-main col-span-2" aria-label="Old parts stage">
      <header className="set-up-head">
        <Mark kind={FATE_MARKS[fate]} rem={1.25} />
        <h1 className="text-head font-semibold" aria-live="polite">
          {FATE_WORDS[fate]}
        </h1>
        <span className="min-w-0 flex-1 text-soft">
          {mayRestock ? 'It may go back on the shelf.' : 'Not back on the shelf.'}
        </span>
      </header>
      <div className="set-up-panels" tabIndex={0} role="region" aria-label="Refit, coils, leads, caps">
        <section aria-label="Discard, inspect or refit" className="set-up-panel">
          <h2 className="text-lead font-semibold">A plug that came out</h2>
          <ul className="pb-2">
            {says.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <div className="grid grid-cols-2 gap-3">
            <div className="grid content-start">
              <OneOf
                label="What befell it"
                value={befell.value.event}
                options={EVENTS.map((value) => ({ value, says: EVENT_WORDS[value] }))}
                onChange={(event) => change({ event })}
              />
            </div>
            <div className="grid content-start gap-3">
              <OneOf
                label="Fine wire or precious tip"
                value={befell.value.isFineTip ? 'yes' : 'no'}
                options={YES_NO}
                onChange={(value) => change({ isFineTip: value === 'yes' })}
              />
              <OneOf
                label="Its seat"
                value={befell.value.gasket}
                options={GASKETS.map((value) => ({ value, says: GASKET_WORDS[value] }))}
                onChange={(gasket) => change({ gasket })}
              />
              <OneOf
                label="Was fitted"
                value={befell.value.wasFitted ? 'yes' : 'no'}
                options={YES_NO}
                onChange={(value) => change({ wasFitted: value === 'yes' })}
              />
              <OneOf
                label="Box was opened"
                value={befell.value.isOpened ? 'yes' : 'no'}
                options={YES_NO}
                onChange={(value) => change({ isOpened: value === 'yes' })}
              />
            </div>
          </div>
        </section>
        <section aria-label="Coils, leads, caps and rotors" className="set-up-panel">
          <h2 className="text-lead font-semibold">Coils, leads, caps and rotors</h2>
          {READ_PARTS.map((part) => (
            <Toggles
              key={part}
              title={PART_WORDS[part]}
              options={PART_SIGN_IDS.filter((id) => PART_SIGNS[id].part === part).map((value) => ({
                value,
                says: PART_SIGNS[value].says,
              }))}
              isOn={(id) => id === picked}
              onChoose={pick}
            />
          ))}
          <div aria-live="polite" className="pt-2">
            {sign ? (
              <>
                <p>
                  Likely: <b className="font-semibold">{sign.likely}</b>.
                </p>
                <p>Before a sale: {sign.first}</p>
                <p>{sign.sells === null ? 'Nothing is sold for it yet.' : `Then may be sold: ${sign.sells}.`}</p>
              </>
            ) : (
              <p className="text-soft">Choose what is seen.</p>
            )}
          </div>
        </section>
      </div>
    </main>
  );
}
