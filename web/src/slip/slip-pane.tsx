import { useState } from 'react';
import { toast } from 'sonner';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import type { Staff } from '@brackenfell/contract/session';
import { readDuty, sayDuty } from '@brackenfell/core/duty/duty-text';
import { Key } from '../controls/key.tsx';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { printPrice } from '../controls/money.ts';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { ReleaseDialog } from '../release/release-dialog.tsx';
import { BatchDialog } from './batch-dialog.tsx';
import { LineView, mayBeReleased } from './line-view.tsx';
import { NoteDialog } from './note-dialog.tsx';
import { slipCall, useSlipWrite } from './use-slip.ts';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

/** The docket at the right: who it is for, what was chosen, what is still open, what was said. */
export function SlipPane({ me, onSlips }: { me: Staff; onSlips: () => void }) {
  const { slipId, slip } = useCounter();
  return (
    <aside className="frame-slip" aria-label="Slip">
      {slip.data ? (
        <OpenSlip key={slip.data.slipId} slip={slip.data} me={me} />
      ) : (
        <div className="grid gap-2 p-3">
          <h2 className="text-lead font-semibold">{slipId ? 'Fetching the slip …' : 'No slip yet'}</h2>
          {slip.error && (
            <p role="alert" className="text-madder">
              {slip.error.message}
            </p>
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
      )}
    </aside>
  );
}

/** Detail fields that are stored when left, and keep their text when that fails. */
const DETAILS = [
  { label: 'For', name: 'customer', longest: 120 },
  { label: 'Vehicle', name: 'vehicle', longest: 120 },
  { label: 'Came for', name: 'cameFor', longest: 200 },
] as const;

function OpenSlip({ slip, me }: { slip: Slip; me: Staff }) {
  const write = useSlipWrite();
  const [note, setNote] = useState(false);
  const [releasing, setReleasing] = useState<SlipLine>();
  const [naming, setNaming] = useState<SlipLine>();
  const { go } = useCounter();
  const [inPane, setInPane] = useState(false);
  const [pickedLine, pickLine] = useState(0);
  const [undo, setUndo] = useState<{ lineId: string; wasRemoved: boolean }>();
  const line = slip.lines[Math.min(pickedLine, slip.lines.length - 1)];
  const at = { params: { slipId: slip.slipId }, body: { version: slip.version } } as const;
  const isOpen = slip.state === 'open';

  const remove = (gone: SlipLine | undefined) => {
    if (!gone) return;
    write.mutate(slipCall('removeLine', { params: { slipId: slip.slipId, lineId: gone.lineId }, body: at.body }), {
      onSuccess: () => {
        setUndo({ lineId: gone.lineId, wasRemoved: true });
        toast(`${gone.printed} taken off. z puts it back.`);
      },
    });
  };
  const undoLast = () => {
    if (undo?.wasRemoved) {
      write.mutate(slipCall('restoreLine', { params: { slipId: slip.slipId, lineId: undo.lineId }, body: at.body }), {
        onSuccess: () => setUndo(undefined),
      });
    } else remove(slip.lines.at(-1));
  };
  const changeQuantity = (by: number) => {
    if (!line || line.quantity + by < 1) return;
    write.mutate(
      slipCall('changeLine', {
        params: { slipId: slip.slipId, lineId: line.lineId },
        body: { ...at.body, quantity: line.quantity + by },
      }),
    );
  };
  useKeys(
    'Slip',
    [
      { press: ';', does: 'Note what was said or found', run: () => setNote(true) },
      { press: 'z', does: 'Undo the last line added or removed', run: undoLast },
      { press: ']', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
      { press: '[', does: inPane ? 'Back to the desk' : 'Into the slip’s lines', run: () => setInPane(!inPane) },
    ],
    { yields: true },
  );
  const questions = slip.lines.flatMap((l) => l.openQuestions.map((question) => ({ line: l, question })));
  const toTell = slip.lines.filter((l) => l.kind === 'sale' && l.verdict === 'sell-with-advice');
  return (
    <>
      {inPane && (
        <LineKeys
          move={(by) => pickLine(Math.max(0, Math.min(slip.lines.length - 1, pickedLine + by)))}
          quantity={changeQuantity}
          remove={() => remove(line)}
          release={() => line && mayBeReleased(line) && setReleasing(line)}
          batch={() => line && isOpen && setNaming(line)}
          proof={() => line && go('/counter/proof', { inspect: null })}
          leave={() => setInPane(false)}
        />
      )}
      <header className="flex items-center justify-between border-b border-line px-3 py-1.5">
        <h2 className="flex items-baseline gap-2">
          <span className="text-soft">Slip</span>
          <span className="num text-head font-semibold">{String(slip.docket).padStart(5, '0')}</span>
        </h2>
        <p className="text-right text-xs text-soft">
          {day.format(new Date(slip.createdAt))}
          <br />
          {slip.state === 'open' ? `${clock.format(new Date(slip.createdAt))}, ${slip.holder ?? 'nobody'}` : slip.state}
        </p>
      </header>
      {slip.holder !== null && slip.holder !== me.name && isOpen && (
        <p className="border-b border-hair px-3 py-1.5 text-heather">
          {slip.holder} holds this slip. <Key>=</Key> takes it over.
        </p>
      )}
      {!isOpen && (
        <p className="border-b border-hair bg-well px-3 py-1.5">
          This slip is {slip.state}. <Key>=</Key> takes it up again.
        </p>
      )}
      <dl className="slip-details">
        {DETAILS.map(({ label, name, longest }) => (
          <Detail
            key={name}
            label={label}
            stored={slip[name]}
            longest={longest}
            disabled={!isOpen}
            store={(text, done) =>
              write.mutate(slipCall('changeSlip', { params: at.params, body: { ...at.body, [name]: text } }), {
                onSuccess: done,
              })
            }
          />
        ))}
        <dt>Engine</dt>
        <dd>
          {slip.engine ?? <span className="text-ash">not chosen</span>}
          {slip.build && <span className="text-soft">, {slip.build}</span>}
        </dd>
        {slip.engineId !== null && (
          <Detail
            label="Engines"
            stored={String(slip.engineCount)}
            longest={2}
            disabled={!isOpen}
            store={(text, done) => {
              const count = Number(text);
              if (Number.isInteger(count) && count >= 1 && count <= 50)
                write.mutate(slipCall('changeSlip', { params: at.params, body: { ...at.body, engineCount: count } }), {
                  onSuccess: done,
                });
              else toast.error('How many such engines: a whole number from 1 to 50.');
            }}
          />
        )}
        {slip.duty !== '' && (
          <>
            <dt>Duty</dt>
            <dd>{sayDuty(readDuty(slip.duty) ?? {})}</dd>
          </>
        )}
        {slip.inHand && (
          <>
            <dt>In hand</dt>
            <dd className="num">{slip.inHand.printed}</dd>
          </>
        )}
      </dl>
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="group" aria-label="Lines and notes of the slip">
        {slip.lines.length === 0 && (
          <p className="px-3 py-2 text-soft">Nothing on it yet. In the tray, Enter puts the row down.</p>
        )}
        <ol>
          {slip.lines.map((l, i) => (
            <LineView
              key={l.lineId}
              line={l}
              picked={inPane && i === Math.min(pickedLine, slip.lines.length - 1)}
              onRelease={isOpen && mayBeReleased(l) ? () => setReleasing(l) : undefined}
            />
          ))}
        </ol>
        {questions.length + toTell.length > 0 && (
          <section className="border-b border-line px-3 py-2" aria-label="Still open">
            <h3 className="text-xs font-semibold text-slate">Still open</h3>
            <ul>
              {questions.map(({ line: l, question }) => (
                <li key={`${l.lineId} ${question}`} className="grid grid-cols-[1.125rem_1fr] pt-1">
                  <span className="pt-0.5">
                    <Mark kind={l.verdict === null ? 'unknown' : VERDICT_MARK[l.verdict]} label="Open" />
                  </span>
                  <span>
                    <span className="num font-semibold">{l.printed}</span>: {question}
                  </span>
                </li>
              ))}
              {toTell.map((l) => (
                <li key={l.lineId} className="grid grid-cols-[1.125rem_1fr] pt-1">
                  <span className="pt-0.5">
                    <Mark kind="acceptable" label="To tell" />
                  </span>
                  <span>
                    <span className="num font-semibold">{l.printed}</span>: tell the customer. {l.reason}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <dl className="slip-sums">
          <dt>Goods</dt>
          <dd className="num">{printPrice(slip.goodsMinor)}</dd>
          <dt>Tax 20%</dt>
          <dd className="num">{printPrice(slip.taxMinor)}</dd>
          <dt className="total">To pay</dt>
          <dd className="num total">{printPrice(slip.totalMinor)}</dd>
        </dl>
        {slip.notes.length > 0 && (
          <section className="px-3 py-2" aria-label="Said and found">
            <h3 className="text-xs font-semibold text-slate">Said and found</h3>
            {slip.notes.map((n) => (
              <p key={n.at} className="grid grid-cols-[3.25rem_1fr] pt-1 text-soft">
                <time className="num text-slate" dateTime={n.at}>
                  {clock.format(new Date(n.at))}
                </time>
                <span>{n.text}</span>
              </p>
            ))}
          </section>
        )}
      </div>
      <footer className="flex flex-wrap gap-x-4 border-t border-line px-3 py-2 text-soft">
        <span>
          <Key>;</Key> note
        </span>
        <span>
          <Key>=</Key> slips
        </span>
        <span>
          <Key>z</Key> undo
        </span>
        <span>
          <Key>]</Key> lines
        </span>
        {questions.length > 0 && <b className="font-semibold text-peat">{questions.length} open</b>}
      </footer>
      {releasing && (
        <ReleaseDialog
          slip={slip}
          line={releasing}
          says={releasing.told.filter(({ outcome }) => outcome === 'caution').map(({ told }) => told.says)}
          ownSession={me.role === 'supervisor'}
          onClose={() => setReleasing(undefined)}
        />
      )}
      {naming && (
        <BatchDialog
          line={naming}
          onClose={() => setNaming(undefined)}
          onChoose={(batchId) =>
            write.mutate(
              slipCall('changeLine', {
                params: { slipId: slip.slipId, lineId: naming.lineId },
                body: { ...at.body, batchId },
              }),
              { onSuccess: () => setNaming(undefined) },
            )
          }
        />
      )}
      {note && (
        <NoteDialog
          docket={slip.docket}
          pending={write.isPending}
          onClose={() => setNote(false)}
          store={(text) =>
            write.mutate(slipCall('addNote', { params: at.params, body: { ...at.body, text } }), {
              onSuccess: () => setNote(false),
            })
          }
        />
      )}
    </>
  );
}

/** Keys while the slip's lines have the hand; they stand before the desk's own while it lasts. */
function LineKeys({
  move,
  quantity,
  remove,
  release,
  batch,
  proof,
  leave,
}: {
  move: (by: number) => void;
  quantity: (by: number) => void;
  remove: () => void;
  release: () => void;
  batch: () => void;
  proof: () => void;
  leave: () => void;
}) {
  useKeys('Lines of the slip', [
    { press: 'Shift+ArrowDown', printed: 'Shift ↓', does: 'Next line', run: () => move(1) },
    { press: 'Shift+ArrowUp', printed: 'Shift ↑', does: 'Line before', run: () => move(-1) },
    { press: '+', does: 'One more', run: () => quantity(1) },
    { press: 'Shift++', printed: '+', does: 'One more', run: () => quantity(1) },
    { press: '-', does: 'One fewer', run: () => quantity(-1) },
    { press: 'Delete', does: 'Take the line off', run: remove },
    { press: 'Shift+R', printed: 'Shift r', does: 'Supervisor’s release', run: release },
    { press: 'Shift+B', printed: 'Shift b', does: 'Which batch its pieces are from', run: batch },
    { press: 'Shift+V', printed: 'Shift v', does: 'Proof of its pieces', run: proof },
    { press: 'Escape', does: 'Back to the desk', run: leave },
  ]);
  return null;
}

interface DetailProps {
  readonly label: string;
  readonly stored: string;
  readonly longest: number;
  readonly disabled: boolean;
  readonly store: (text: string, done: () => void) => void;
}

function Detail({ label, stored, longest, disabled, store }: DetailProps) {
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    if (typed === undefined) return;
    if (typed.trim() === stored) setTyped(undefined);
    else store(typed.trim(), () => setTyped(undefined));
  };
  return (
    <>
      <dt>{label}</dt>
      <dd>
        <input
          className="quiet-field"
          aria-label={label}
          value={typed ?? stored}
          maxLength={longest}
          disabled={disabled}
          placeholder="–"
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') setTyped(undefined);
          }}
        />
      </dd>
    </>
  );
}
