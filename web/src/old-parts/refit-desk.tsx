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
import type { DeskProps } from './desk-props.ts';
import { OthersPanel } from './others-panel.tsx';

const GASKET_WORDS: Readonly<Record<GasketKind, string>> = {
  fixed: 'its own gasket',
  loose: 'a loose gasket',
  taper: 'a cone, none',
};
const FATE_MARKS = { discard: 'refuse', regauge: 'caution', refit: 'match' } as const;
const YES_NO = [
  { value: 'yes', says: 'Yes' },
  { value: 'no', says: 'No' },
] as const;
const AS_NEW: Befell = { event: 'none', isFineTip: false, gasket: 'fixed', wasFitted: true, isOpened: true };

/** What becomes of a plug that something befell, and what coils, leads, caps and rotors say. */
export function RefitDesk(props: DeskProps) {
  const befell = useDraftOf<Befell>('refit', AS_NEW);
  const { fate, says, mayRestock } = fateOf(befell.value);
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
        <OthersPanel {...props} />
      </div>
    </main>
  );
}
