import { useState } from 'react';
import type { HandOver } from '@brackenfell/contract/hand-over';
import type { ApartStanding } from '@brackenfell/core/kit/while-apart';
import { Mark } from '../controls/mark.tsx';

/** What comes off on the way, and how it goes back. */
export function Fasteners({ fasteners }: Pick<HandOver, 'fasteners'>) {
  return fasteners.length === 0 ? null : (
    <section aria-label="Fasteners" className="set-up-panel">
      <h2 className="text-lead font-semibold">Fasteners</h2>
      <ul>
        {fasteners.map(({ what, says, isQuestion }) => (
          <li key={what} className="flex items-baseline gap-1.5 border-t border-hair">
            {isQuestion && <Mark kind="unknown" label="To ask" rem={0.75} />}
            <span>
              <b className="font-semibold">{what}.</b> {says}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What goes on each place, how little, and where nothing may go. */
export function Lubricants({ lubricants }: Pick<HandOver['fitted'][number], 'lubricants'>) {
  return lubricants.length === 0 ? null : (
    <section aria-label="Lubricant by place" className="set-up-panel">
      <h2 className="text-lead font-semibold">Lubricant by place</h2>
      <dl className="grid grid-cols-[7rem_1fr]">
        {lubricants.map(({ place, says, who, isQuestion }) => (
          <div key={place} className="contents">
            <dt className="text-slate">{place}</dt>
            <dd>
              {isQuestion && <Mark kind="unknown" label="To ask" rem={0.75} />} {says}{' '}
              <span className="text-soft">{who}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

const STANDING_WORDS: Readonly<Record<ApartStanding, string>> = {
  seen: 'Seen',
  due: 'Due',
  'within-reach': 'Within reach',
};

/** What only this job lays bare; what is merely within reach stands behind its button. */
export function WhileApart({ bared }: Pick<HandOver, 'bared'>) {
  const [isWhole, showWhole] = useState(false);
  const shown = bared.filter(({ standing }) => isWhole || standing !== 'within-reach');
  const hidden = bared.length - shown.length;
  return bared.length === 0 ? null : (
    <section aria-label="While it is apart" className="set-up-panel">
      <h2 className="text-lead font-semibold">While it is apart</h2>
      {shown.length === 0 && <p className="text-soft">Nothing seen, and nothing due.</p>}
      <ul>
        {shown.map(({ says, standing, why }) => (
          <li key={says} className="border-t border-hair">
            <b className="font-semibold">{STANDING_WORDS[standing]}:</b> {says} <span className="text-soft">{why}</span>
          </li>
        ))}
      </ul>
      {(hidden > 0 || isWhole) && (
        <button type="button" className="button-quiet justify-self-start" onClick={() => showWhole(!isWhole)}>
          {isWhole ? 'Only what was seen or is due' : `${hidden} within reach: show`}
        </button>
      )}
    </section>
  );
}
