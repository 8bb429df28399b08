import { wordFor } from '@brackenfell/core/words/counted';
import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import type { Batch } from '@brackenfell/contract/quarantine';
import { BAND_MARK } from '../controls/band-mark.ts';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { printPrice } from '@brackenfell/core/words/money';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { batchCode, STATE_MARK, STATE_WORDS } from './batch-words.ts';
import { ReasonDialog } from './reason-dialog.tsx';
import { RecallList } from './recall-list.tsx';
import { useQuarantineWrite } from './use-quarantine.ts';
import { upperFirst } from '@brackenfell/core/words/case';

type Step = 'hold' | 'release' | 'confirm' | 'close-recall';

const STEPS: Readonly<Record<Step, { readonly title: string; readonly about: string; readonly act: string }>> = {
  hold: {
    title: 'Hold the batch',
    about: 'From now on none of it can be sold, at any counter. Open slips that hold it are told.',
    act: 'Hold it',
  },
  release: {
    title: 'Settle it as genuine',
    about: 'It is for sale again, and counts as a genuine batch in its seller’s record.',
    act: 'Release it',
  },
  confirm: {
    title: 'Settle it as not genuine',
    about:
      'It is never sold, and counts in its seller’s record. The record is evidence about batches, not an accusation.',
    act: 'Confirm it',
  },
  'close-recall': {
    title: 'Close the recall',
    about: 'Every buyer was reached, or it is noted that nobody can.',
    act: 'Close it',
  },
};

const DONE: Readonly<Record<Batch['events'][number]['action'], string>> = {
  hold: 'Held',
  release: 'Settled as genuine',
  confirm: 'Settled as not genuine',
  'close-recall': 'Recall closed',
  notice: 'Held by a recall notice',
};

/** One batch: how it stands, what was found, who bought of it, and what may be done. */
export function BatchDetail({ batch }: { batch: Batch }) {
  const { data: me } = useSession();
  const navigate = useNavigate();
  const [step, begin] = useState<Step>();
  const write = useQuarantineWrite<Batch>();
  const maySettle = me?.role === 'supervisor';
  const mayHold = me?.role !== 'editor' && (batch.state === 'open' || batch.state === 'released');
  const stopped = isHeld(batch.state);
  const params = { batchId: batch.batchId };
  const carryOut = (reason: string) => {
    const body = { version: batch.version, reason };
    write.mutate(
      () =>
        step === 'hold'
          ? call('holdBatch', { params, body })
          : step === 'close-recall'
            ? call('closeRecall', { params, body })
            : call('settleBatch', { params, body: { ...body, as: step === 'release' ? 'release' : 'confirm' } }),
      { onSuccess: () => begin(undefined) },
    );
  };
  const print = () => window.open(`/api/batches/${batch.batchId}/evidence.pdf`, '_blank', 'noopener');
  const inspect = () => void navigate(`/counter/proof?inspect=${batch.partId}&batch=${batch.batchId}`);
  const mayClose = maySettle && stopped && batch.recallClosed === null && batch.sales.length > 0;
  useKeys('Batch', [
    { press: 'p', does: 'Evidence pack on paper', run: print },
    ...(me?.role === 'editor' ? [] : [{ press: 'v', does: 'Look at pieces of it', run: inspect }]),
    ...(mayHold ? [{ press: 'h', does: 'Hold it', run: () => begin('hold') }] : []),
    ...(maySettle && batch.state !== 'released'
      ? [{ press: 'g', does: 'Settle it as genuine', run: () => begin('release') }]
      : []),
    ...(maySettle && batch.state !== 'confirmed'
      ? [{ press: 'f', does: 'Settle it as not genuine', run: () => begin('confirm') }]
      : []),
    ...(mayClose ? [{ press: 'x', does: 'Close the recall', run: () => begin('close-recall') }] : []),
  ]);
  return (
    <main className="desk-main" aria-label="Batch">
      <header className="flex-none border-b border-line px-4 py-2">
        <p className="flex flex-wrap items-baseline gap-x-3">
          <Mark kind={STATE_MARK[batch.state]} rem={1.125} />
          <b className="num text-verdict font-semibold">{batch.printed}</b>
          <span>{batch.maker}</span>
          <span className="num text-lead">{batchCode(batch.code)}</span>
          <b className={`font-semibold ${stopped ? 'text-madder' : ''}`}>{upperFirst(STATE_WORDS[batch.state])}</b>
        </p>
        <p className="text-soft">
          {batch.seller}, {CHANNEL_WORDS[batch.channel]}; {batch.quantity} received {printMoment(batch.receivedAt)}
          {batch.unitCostMinor === null ? '' : ` at ${printPrice(batch.unitCostMinor)}`}; {batch.onHand} on the shelf,{' '}
          {batch.sold} sold
        </p>
        <div className="flex flex-wrap gap-2 pt-1">
          <button type="button" className="button-plain" onClick={print}>
            Evidence pack <Key>p</Key>
          </button>
          <a
            className="button-plain inline-flex items-center"
            href={`/api/batches/${batch.batchId}/evidence.json`}
            download
          >
            as data
          </a>
          {me?.role !== 'editor' && (
            <button type="button" className="button-plain" onClick={inspect}>
              Look at pieces <Key>v</Key>
            </button>
          )}
          {mayHold && (
            <button type="button" className="button-plain" onClick={() => begin('hold')}>
              Hold it <Key>h</Key>
            </button>
          )}
          {maySettle && batch.state !== 'released' && (
            <button type="button" className="button-plain" onClick={() => begin('release')}>
              Settle as genuine <Key>g</Key>
            </button>
          )}
          {maySettle && batch.state !== 'confirmed' && (
            <button type="button" className="button-plain" onClick={() => begin('confirm')}>
              Settle as not genuine <Key>f</Key>
            </button>
          )}
          {mayClose && (
            <button type="button" className="button-plain" onClick={() => begin('close-recall')}>
              Close the recall <Key>x</Key>
            </button>
          )}
          {stopped && !maySettle && <span className="self-center text-soft">Only a supervisor settles it.</span>}
        </div>
      </header>
      <div
        className="grid min-h-0 flex-1 content-start gap-4 overflow-auto p-4"
        tabIndex={0}
        role="region"
        aria-label="What is known of the batch"
      >
        <section aria-label="Inspections">
          <h2 className="text-lead font-semibold">
            Looked at: {BAND_WORDS[batch.band].toLowerCase()}
            {batch.chance === null ? '' : `, ${printChance(batch.chance)} at the worst`}
          </h2>
          {batch.inspections.length === 0 && <p className="text-soft">No piece of it was looked at yet.</p>}
          <ul className="max-w-3xl">
            {batch.inspections.map((one) => (
              <li key={one.inspectionId} className="border-b border-hair">
                <Link
                  to={`/counter/proof/${one.inspectionId}`}
                  className="grid min-h-7 grid-cols-[1.25rem_1fr_auto] items-center gap-2 hover:bg-bracken-wash"
                >
                  <Mark kind={BAND_MARK[one.band ?? 'not-inspected']} />
                  <span>
                    {one.band ? BAND_WORDS[one.band] : 'Not concluded'}
                    {one.chance === null ? '' : `, ${printChance(one.chance)}`}; {one.pieces}{' '}
                    {wordFor(one.pieces, 'piece')}
                  </span>
                  <span className="text-soft">
                    {printMoment(one.at)}, {one.by}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="What was done">
          <h2 className="text-lead font-semibold">What was done</h2>
          {batch.events.length === 0 && <p className="text-soft">Nothing yet.</p>}
          <ol className="max-w-3xl">
            {batch.events.map(({ at, by, action, reason }) => (
              <li key={at + action} className="grid grid-cols-[7.5rem_1fr] gap-2 border-b border-hair py-0.5">
                <time className="text-soft" dateTime={at}>
                  {printMoment(at)}
                </time>
                <span>
                  <b className="font-semibold">{DONE[action]}</b> by {by}: {reason}
                </span>
              </li>
            ))}
          </ol>
        </section>
        <RecallList batch={batch} mayContact={me?.role !== 'editor'} />
      </div>
      {step && (
        <ReasonDialog {...STEPS[step]} pending={write.isPending} onReason={carryOut} onClose={() => begin(undefined)} />
      )}
    </main>
  );
}
