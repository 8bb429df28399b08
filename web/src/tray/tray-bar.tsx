import { useState } from 'react';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { Key } from '../controls/key.tsx';
import type { TraySheet } from './open-sheet.tsx';
import { isAnsweredHere, recommended } from './row-acts.ts';
import { usePickedAfterPaint, type RowPick } from './row-pick.ts';

export const FIND_IN_TRAY = 'find-in-tray';

export interface TrayActs {
  readonly take: (row: OpenRow | undefined) => void;
  readonly put: (row: OpenRow | undefined) => void;
  readonly sellBetter: () => void;
  readonly note: () => void;
  readonly prove: (row: OpenRow | undefined) => void;
  readonly compare: () => void;
  readonly open: (sheet: TraySheet) => void;
}

/** What can be done with the picked row and in the tray: every key as a button that does what the key does. */
export function TrayBar({ tray, pick, acts }: { tray: OpenTray; pick: RowPick; acts: TrayActs }) {
  const row = tray.rows[usePickedAfterPaint(pick)];
  const better = recommended(tray);
  if (!row) return null;
  return (
    <div className="tray-bar" role="toolbar" aria-label="What to do with the picked row">
      {isAnsweredHere(row) && (
        <button type="button" className="button-lead" onClick={() => acts.take(row)}>
          Answer its question <Key>Enter</Key>
        </button>
      )}
      {row.verdict === 'refuse' ? (
        <button type="button" className="button-plain" onClick={acts.note}>
          Customer’s own, not sold <Key>r</Key>
        </button>
      ) : (
        <button
          type="button"
          className={isAnsweredHere(row) ? 'button-plain' : 'button-lead'}
          onClick={() => acts.put(row)}
        >
          Put on slip <Key>{isAnsweredHere(row) ? '+' : 'Enter'}</Key>
        </button>
      )}
      {better && better !== row && (
        <button type="button" className="button-plain" onClick={acts.sellBetter}>
          Sell <b className="num font-semibold">{better.printed}</b> instead <Key>Shift Enter</Key>
        </button>
      )}
      <button type="button" className="button-plain" onClick={() => acts.prove(row)}>
        Proof <Key>v</Key>
      </button>
      <button type="button" className="button-plain" onClick={acts.compare}>
        Compare <Key>x</Key>
      </button>
      {tray.kind === 'plug' && (
        <button type="button" className="button-plain" onClick={() => acts.open('fitting')}>
          How fitted <Key>h</Key>
        </button>
      )}
      <button type="button" className="button-plain" onClick={() => acts.open('rules')}>
        Rules here <Key>Shift h</Key>
      </button>
      {(tray.kind === 'plug' || tray.kind === 'coil') && (
        <button type="button" className="button-plain" onClick={() => acts.open('fitted')}>
          What is fitted <Key>f</Key>
        </button>
      )}
      <button type="button" className="button-plain" onClick={() => acts.open('misfire')}>
        Code <Key>c</Key>
      </button>
      {tray.kind === 'plug' && (
        <button type="button" className="button-plain" onClick={() => acts.open('near')}>
          Nearly fits <Key>n</Key>
        </button>
      )}
      {tray.kind === 'lead-set' && (
        <button type="button" className="button-plain" onClick={() => acts.open('labels')}>
          Labels <Key>l</Key>
        </button>
      )}
      {(tray.kind === 'coil' || tray.kind === 'lead-set') && (
        <button type="button" className="button-plain" onClick={() => acts.open('measure')}>
          Measure <Key>m</Key>
        </button>
      )}
      <FindInTray tray={tray} pick={pick} />
    </div>
  );
}

/** Goes to the first row whose number begins with, or holds, what is typed. */
function FindInTray({ tray, pick }: { tray: OpenTray; pick: RowPick }) {
  const [text, setText] = useState('');
  const find = (typed: string) => {
    setText(typed);
    const wanted = normalForm(typed);
    if (wanted === '') return;
    const forms = tray.rows.map(({ printed }) => normalForm(printed));
    const at = forms.findIndex((form) => form.startsWith(wanted));
    const held = at >= 0 ? at : forms.findIndex((form) => form.includes(wanted));
    if (held >= 0) pick.set(held);
  };
  return (
    <label className="ml-auto flex items-center gap-1 text-soft">
      <Key>g</Key>
      <input
        id={FIND_IN_TRAY}
        className="field num w-28"
        aria-label="Go to a number of the tray"
        placeholder="number"
        value={text}
        maxLength={40}
        spellCheck={false}
        onChange={(event) => find(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          setText('');
          document.querySelector<HTMLElement>('[data-tray]')?.focus();
        }}
      />
    </label>
  );
}
