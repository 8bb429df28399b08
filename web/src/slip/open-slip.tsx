import { printClock, printDate, printWeekday } from '@brackenfell/core/words/moments';
import { useState } from 'react';
import type { Staff } from '@brackenfell/contract/session';
import type { Slip } from '@brackenfell/contract/slip';
import { isFinal, mayBecome, SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import { mayTakeOver, mayWrite } from '@brackenfell/core/slip/who-may';
import { Key } from '../controls/key.tsx';
import { printTax } from '@brackenfell/core/money/tax';
import { printPrice } from '@brackenfell/core/words/money';
import { useKeys } from '../keys/keys.ts';
import { useChangedElsewhere } from './changed-elsewhere.ts';
import { LineKeys } from './line-keys.tsx';
import { LineView, mayBeReleased } from './line-view.tsx';
import { slipSheet } from '../counter/slip-sheet.ts';
import { OpenList } from './open-list.tsx';
import { printDocket } from '../counter/print-docket.ts';
import { setUpMatters } from './set-up-matters.ts';
import { useSettings } from '../settings/settings.ts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { SlipDetails } from './slip-details.tsx';
import { slipCall } from '../counter/slip-call.ts';
import { SlipGarage, useRemember } from './slip-garage.tsx';
import { SlipNotes } from './slip-notes.tsx';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { SlipSheets } from './slip-sheets.tsx';
import { UnsentList } from '../counter/unsent-list.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { ToSetUp } from './to-set-up.tsx';
import { useLineActs } from '../counter/use-line-acts.ts';
import { useOpenMatter } from '../counter/use-open-matter.ts';

interface OpenSlipProps {
  readonly slip: Slip;
  readonly me: Staff;
  readonly onSlips: () => void;
  readonly onHeard: () => void;
}

/** A slip that is on the counter: its lines, what is open, what was said, the sum, and what can be done. */
export function OpenSlip({ slip, me, onSlips, onHeard }: OpenSlipProps) {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const openMatter = useOpenMatter(slip);
  const changed = useChangedElsewhere(slip);
  const { go } = useCounter();
  const [inPane, setInPane] = useState(false);
  const [pickedLine, pickLine] = useState(0);
  const at = Math.min(pickedLine, slip.lines.length - 1);
  const line = slip.lines[at];
  const params = { slipId: slip.slipId };
  const held = { state: slip.state, holderId: slip.holderId };
  const mine = mayWrite(held, me);
  const mayCollect = mine || (!slip.isOver && slip.state !== 'open' && mayBecome(slip.state, 'collected'));
  const toSetUp = (lineId: string) => go('/counter/set-up', { line: lineId });
  const [first] = slip.open;
  const toSet = setUpMatters(slip, sayIn(useSettings().units));
  const nextOpen =
    first && slip.lines.length > 0 ? () => openMatter(first) : toSet[0] ? () => toSetUp(toSet[0]!.lineId) : undefined;
  const remember = useRemember(slip);
  const { remove, stepBack, changeQuantity, prove } = useLineActs(slip, mine);

  useKeys(
    'Slip',
    [
      { press: ';', does: 'Note what was said or found', run: () => slipSheet.set({ kind: 'note' }) },
      { press: 'z', does: 'Step back: undo the last thing done on the slip', run: stepBack },
      { press: ']', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
      { press: '[', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
      ...(nextOpen ? [{ press: '.', does: 'The next open item', run: nextOpen }] : []),
      ...(mayCollect ? collectKeys : []),
      ...(remember
        ? [{ press: 'Shift+R', printed: 'Shift r', does: 'Remember the vehicle in the garage book', run: remember }]
        : []),
    ],
    { yields: true },
  );
  return (
    <>
      {inPane && (
        <LineKeys
          move={(by) => pickLine(Math.max(0, Math.min(slip.lines.length - 1, pickedLine + by)))}
          answer={() => {
            const open = slip.open.find(({ lineId }) => lineId === line?.lineId);
            if (open) openMatter(open);
          }}
          quantity={(by) => changeQuantity(by, line)}
          remove={() => remove(line)}
          release={() => line && mayBeReleased(line) && slipSheet.set({ kind: 'release', lineId: line.lineId })}
          batch={() => line && mine && slipSheet.set({ kind: 'batch', lineId: line.lineId })}
          proof={() => prove(line)}
          told={() => line && slipSheet.set({ kind: 'told', lineId: line.lineId })}
          leave={() => setInPane(false)}
        />
      )}
      <header className="flex items-center justify-between border-b border-line px-3 py-1.5">
        <h2 className="flex items-baseline gap-2">
          <span className="text-soft">Slip</span>
          <span className="num text-head font-semibold">{printDocket(slip.docket)}</span>
        </h2>
        <p className="text-right text-xs text-soft">
          {printWeekday(slip.createdAt)}
          <br />
          {slip.state === 'open'
            ? `${printClock(slip.createdAt)}, ${slip.holder ?? 'nobody'}`
            : SLIP_STATE_WORDS[slip.state]}
        </p>
      </header>
      <UnsentList unsent={unsent} />
      <div role="status" aria-label="Changed elsewhere">
        {changed.says.length > 0 && (
          <p className="slip-changes">
            <b className="font-semibold">Changed at another till.</b> {changed.says.join('; ')}.{' '}
            <button type="button" className="button-quiet" onClick={changed.seen}>
              Seen
            </button>
          </p>
        )}
      </div>
      {!mine && (
        <p className="border-b border-hair bg-well px-3 py-1.5">
          {isFinal(slip.state)
            ? `This slip is ${SLIP_STATE_WORDS[slip.state]} and final.`
            : slip.state === 'open'
              ? `${slip.holder ?? 'Nobody'} holds this slip.`
              : `This slip is ${SLIP_STATE_WORDS[slip.state]}${slip.heldUntil ? `, ${slip.isOver ? 'past' : 'held to'} ${printDate(slip.heldUntil)}` : ''}.`}{' '}
          {mayTakeOver(held, me) && (
            <button
              type="button"
              className="button-plain"
              onClick={() => write.mutate(slipCall('takeOverSlip', { params, body: {} }, 'taken over'))}
            >
              {slip.state === 'open' ? 'Take it over' : 'Take it up'}
            </button>
          )}
        </p>
      )}
      {slip.linked.length > 0 && (
        <p className="border-b border-hair px-3 py-1">
          {slip.linked.map((other) => (
            <button
              key={other.slipId}
              type="button"
              className="button-quiet"
              onClick={() => go('/counter/parts', { slip: other.slipId })}
            >
              With slip <span className="num">{printDocket(other.docket)}</span>, {SLIP_STATE_WORDS[other.state]}
            </button>
          ))}
        </p>
      )}
      <SlipDetails slip={slip} disabled={!mine} />
      <SlipGarage slip={slip} remember={mine || isFinal(slip.state) ? remember : undefined} />
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="group" aria-label="Lines and notes of the slip">
        {slip.lines.length === 0 && (
          <p className="px-3 py-2 text-soft">Nothing on it yet. In the tray, Enter puts the row down.</p>
        )}
        <ol>
          {slip.lines.map((l, i) => (
            <LineView
              key={l.lineId}
              line={l}
              engines={slip.engineCount}
              picked={inPane && i === at}
              isChanged={changed.lines.has(l.lineId)}
              onTold={() => slipSheet.set({ kind: 'told', lineId: l.lineId })}
              acts={
                mine
                  ? {
                      more: () => changeQuantity(1, l),
                      fewer: () => changeQuantity(-1, l),
                      remove: () => remove(l),
                      batch: () => slipSheet.set({ kind: 'batch', lineId: l.lineId }),
                      proof: l.partKind === 'sundry' ? undefined : () => prove(l),
                      release: mayBeReleased(l)
                        ? () => slipSheet.set({ kind: 'release', lineId: l.lineId })
                        : undefined,
                    }
                  : undefined
              }
            />
          ))}
        </ol>
        <OpenList slip={slip} onAnswer={openMatter} />
        <ToSetUp matters={toSet} isNext={!first} onSetUp={toSetUp} />
        <SlipNotes slip={slip} me={me} />
      </div>
      <dl className="slip-sums border-t border-line">
        <dt>Goods</dt>
        <dd className="num">{printPrice(slip.goodsMinor)}</dd>
        <dt>{printTax(slip.taxBasisPoints)}</dt>
        <dd className="num">{printPrice(slip.taxMinor)}</dd>
        <dt className="total">To pay</dt>
        <dd className="num total">{printPrice(slip.totalMinor)}</dd>
      </dl>
      <footer className="flex flex-wrap gap-1 border-t border-line px-2 py-1.5">
        {mayCollect && (
          <button type="button" className="button-act" onClick={() => slipSheet.set({ kind: 'collect' })}>
            {slip.open.length > 0 ? `${slip.open.length} open` : 'Collect'} <Key>$</Key>
          </button>
        )}
        <button type="button" className="button-plain" onClick={() => slipSheet.set({ kind: 'note' })}>
          Note <Key>;</Key>
        </button>
        <button type="button" className="button-plain" onClick={onSlips}>
          Slips <Key>=</Key>
        </button>
        <button type="button" className="button-plain" onClick={onHeard}>
          Heard <Key>Shift w</Key>
        </button>
        {mine && (
          <button type="button" className="button-plain" onClick={stepBack}>
            Undo <Key>z</Key>
          </button>
        )}
      </footer>
      <SlipSheets slip={slip} me={me} />
    </>
  );
}

const openCollect = () => slipSheet.set({ kind: 'collect' });
const collectKeys = [
  { press: '$', does: 'Collect: the sale, or what keeps it from being one', run: openCollect },
  { press: 'Shift+$', printed: '$', does: 'Collect: the sale, or what keeps it from being one', run: openCollect },
];
