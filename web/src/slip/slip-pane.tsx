import { useState } from 'react';
import type { Staff } from '@brackenfell/contract/session';
import { Key } from '../controls/key.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useNarrow } from '../settings/use-narrow.ts';
import { printDocket } from '../counter/print-docket.ts';
import { OpenSlip } from './open-slip.tsx';
import { useUnsent } from '../counter/use-unsent.ts';
import { SlipSheets } from './slip-sheets.tsx';
import { UnsentList } from '../counter/unsent-list.tsx';

interface SlipPaneProps {
  readonly me: Staff;
  readonly onSlips: () => void;
  readonly onHeard: () => void;
}

/** The docket at the right: who it is for, what was chosen, what is still open, what was said. */
export function SlipPane({ me, onSlips, onHeard }: SlipPaneProps) {
  const { slipId, slip, go } = useCounter();
  const unsent = useUnsent(slipId);
  const narrow = useNarrow();
  const [opened, setOpened] = useState(false);
  // Empty, or where there is no room for it, it is an edge; the tray has its width.
  const isEdge = (slipId === undefined && unsent.length === 0) || narrow;
  const folded = isEdge && !opened;
  useKeys('Slip', [{ press: ']', does: 'Open the slip', run: () => setOpened(true) }], {
    active: folded,
    yields: true,
  });
  if (folded) {
    return (
      <aside className="frame-slip" aria-label="Slip" data-folded>
        <button type="button" className="slip-edge" onClick={() => setOpened(true)} aria-expanded={false}>
          <Key>]</Key>
          <span className="rail-name">
            {slip.data
              ? `Slip ${printDocket(slip.data.docket)}: ${printPrice(slip.data.totalMinor)}${slip.data.open.length > 0 ? `, ${slip.data.open.length} open` : ''}`
              : slipId
                ? 'Slip'
                : 'No slip yet'}
          </span>
        </button>
        <SlipSheets slip={slip.data} me={me} />
      </aside>
    );
  }
  return (
    <aside className="frame-slip" aria-label="Slip" data-over={narrow || undefined}>
      {isEdge && (
        <button type="button" className="button-quiet self-end" aria-expanded onClick={() => setOpened(false)}>
          Fold the slip away
        </button>
      )}
      {slip.data ? (
        <OpenSlip key={slip.data.slipId} slip={slip.data} me={me} onSlips={onSlips} onHeard={onHeard} />
      ) : (
        <>
          <div className="grid gap-2 p-3">
            <h2 className="text-lead font-semibold">
              {unsent.length > 0 ? 'New slip, not sent yet' : slipId ? 'Fetching the slip …' : 'No slip yet'}
            </h2>
            {slip.error && (
              <>
                <p role="alert" className="text-madder">
                  {slip.error.message}
                </p>
                <button
                  type="button"
                  className="button-plain justify-self-start"
                  onClick={() => go('/counter/engine', { slip: null })}
                >
                  Leave it
                </button>
              </>
            )}
            {!slipId && (
              <p className="text-soft">
                Price and stock are answered without one. The first part put down begins a slip by itself.
              </p>
            )}
            <button type="button" className="button-quiet justify-self-start" onClick={onHeard}>
              Heard at the counter <Key>Shift w</Key>
            </button>
            <button type="button" className="button-plain justify-self-start" onClick={onSlips}>
              Slips <Key>=</Key>
            </button>
          </div>
          <UnsentList unsent={unsent} />
          <SlipSheets slip={undefined} me={me} />
        </>
      )}
    </aside>
  );
}
