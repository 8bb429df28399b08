import { useState } from 'react';
import { toast } from 'sonner';
import type { Staff } from '@brackenfell/contract/session';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { isFinal, SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import { mayTakeOver, mayWrite } from '@brackenfell/core/slip/who-may';
import { Key } from '../controls/key.tsx';
import { printPrice } from '../controls/money.ts';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { useNarrow } from '../settings/use-narrow.ts';
import { LineKeys } from './line-keys.tsx';
import { LineView, mayBeReleased } from './line-view.tsx';
import { slipSheet } from './open-sheet.ts';
import { OpenList } from './open-list.tsx';
import { printDocket } from './print-docket.ts';
import { SlipDetails } from './slip-details.tsx';
import { slipCall } from './slip-call.ts';
import { useSlipWrite, useUnsent } from './slip-outbox.ts';
import { SlipSheets } from './slip-sheets.tsx';
import { popUndo } from './undo-stack.ts';
import { UnsentList } from './unsent-list.tsx';
import { useOpenMatter } from './use-open-matter.ts';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

/** The docket at the right: who it is for, what was chosen, what is still open, what was said. */
export function SlipPane({ me, onSlips }: { me: Staff; onSlips: () => void }) {
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
        <OpenSlip key={slip.data.slipId} slip={slip.data} me={me} onSlips={onSlips} />
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

function OpenSlip({ slip, me, onSlips }: { slip: Slip; me: Staff; onSlips: () => void }) {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const openMatter = useOpenMatter(slip);
  const { go } = useCounter();
  const [inPane, setInPane] = useState(false);
  const [pickedLine, pickLine] = useState(0);
  const at = Math.min(pickedLine, slip.lines.length - 1);
  const line = slip.lines[at];
  const params = { slipId: slip.slipId };
  const held = { state: slip.state, holderId: slip.holderId };
  const mine = mayWrite(held, me);

  const remove = (gone: SlipLine | undefined) => {
    if (!gone || !mine) return;
    write.mutate(
      slipCall('removeLine', { params: { ...params, lineId: gone.lineId }, body: {} }, `${gone.printed} taken off`),
      {
        onSuccess: () => toast(`${gone.printed} taken off. z puts it back.`),
      },
    );
  };
  const stepBack = () => {
    const undo = popUndo(slip.slipId);
    if (!undo) {
      toast('Nothing to step back from on this slip.');
      return;
    }
    write.mutate({ ...undo }, { isUndo: true, onSuccess: () => toast(`Stepped back: ${undo.says}.`) });
  };
  const changeQuantity = (by: number, of = line) => {
    if (!of || !mine || of.quantity + by < 1) return;
    // What is on its way counts, so that two presses are two.
    const meant = unsent.findLast((one) => one.name === 'changeLine' && one.request.params?.lineId === of.lineId);
    const quantity = Number(meant?.request.body?.quantity ?? of.quantity) + by;
    write.mutate(
      slipCall(
        'changeLine',
        { params: { ...params, lineId: of.lineId }, body: { quantity } },
        `${of.printed}: ${quantity}`,
      ),
    );
  };
  const prove = (of: SlipLine | undefined) => {
    if (of) go('/counter/proof', { inspect: of.partId, line: of.lineId });
  };
  useKeys(
    'Slip',
    [
      { press: ';', does: 'Note what was said or found', run: () => slipSheet.set({ kind: 'note' }) },
      { press: 'z', does: 'Step back: undo the last thing done on the slip', run: stepBack },
      { press: ']', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
      { press: '[', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
      ...(slip.open[0] && slip.lines.length > 0
        ? [{ press: '.', does: 'The next open item', run: () => openMatter(slip.open[0]!) }]
        : []),
      ...(mine ? collectKeys : []),
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
          quantity={changeQuantity}
          remove={() => remove(line)}
          release={() => line && mayBeReleased(line) && slipSheet.set({ kind: 'release', lineId: line.lineId })}
          batch={() => line && mine && slipSheet.set({ kind: 'batch', lineId: line.lineId })}
          proof={() => prove(line)}
          leave={() => setInPane(false)}
        />
      )}
      <header className="flex items-center justify-between border-b border-line px-3 py-1.5">
        <h2 className="flex items-baseline gap-2">
          <span className="text-soft">Slip</span>
          <span className="num text-head font-semibold">{printDocket(slip.docket)}</span>
        </h2>
        <p className="text-right text-xs text-soft">
          {day.format(new Date(slip.createdAt))}
          <br />
          {slip.state === 'open'
            ? `${clock.format(new Date(slip.createdAt))}, ${slip.holder ?? 'nobody'}`
            : SLIP_STATE_WORDS[slip.state]}
        </p>
      </header>
      <UnsentList unsent={unsent} />
      {!mine && (
        <p className="border-b border-hair bg-well px-3 py-1.5">
          {isFinal(slip.state)
            ? `This slip is ${SLIP_STATE_WORDS[slip.state]} and final.`
            : slip.state === 'parked'
              ? 'This slip is parked.'
              : `${slip.holder ?? 'Nobody'} holds this slip.`}{' '}
          {mayTakeOver(held, me) && (
            <button
              type="button"
              className="button-plain"
              onClick={() => write.mutate(slipCall('takeOverSlip', { params, body: {} }, 'taken over'))}
            >
              {slip.state === 'parked' ? 'Take it up' : 'Take it over'}
            </button>
          )}
        </p>
      )}
      <SlipDetails slip={slip} disabled={!mine} />
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
              acts={
                mine
                  ? {
                      more: () => changeQuantity(1, l),
                      fewer: () => changeQuantity(-1, l),
                      remove: () => remove(l),
                      batch: () => slipSheet.set({ kind: 'batch', lineId: l.lineId }),
                      proof: () => prove(l),
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
        {slip.notes.length > 0 && (
          <section className="px-3 py-2" aria-label="Said and found">
            <h3 className="text-xs font-semibold text-slate">Said and found</h3>
            {slip.notes.map((n) => (
              <p key={n.noteId} className="grid grid-cols-[3.25rem_1fr_auto] pt-1 text-soft">
                <time className="num text-slate" dateTime={n.at}>
                  {clock.format(new Date(n.at))}
                </time>
                <span>
                  {n.text}{' '}
                  <span className="text-xs text-slate">
                    {n.by}
                    {n.mended ? ', edited' : ''}
                  </span>
                </span>
                {(n.by === me.name || me.role === 'supervisor') && (
                  <button
                    type="button"
                    className="button-quiet"
                    aria-label={`Edit the note: ${n.text}`}
                    onClick={() => slipSheet.set({ kind: 'note', noteId: n.noteId })}
                  >
                    edit
                  </button>
                )}
              </p>
            ))}
          </section>
        )}
      </div>
      <dl className="slip-sums border-t border-line">
        <dt>Goods</dt>
        <dd className="num">{printPrice(slip.goodsMinor)}</dd>
        <dt>Tax 20%</dt>
        <dd className="num">{printPrice(slip.taxMinor)}</dd>
        <dt className="total">To pay</dt>
        <dd className="num total">{printPrice(slip.totalMinor)}</dd>
      </dl>
      <footer className="flex flex-wrap gap-1 border-t border-line px-2 py-1.5">
        {mine && (
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
