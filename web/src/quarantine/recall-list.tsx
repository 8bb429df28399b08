import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { useState } from 'react';
import { CONTACT_WORDS, type ContactOutcome } from './contact-words.ts';
import type { Batch } from '@brackenfell/contract/quarantine';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';
import { useQuarantineWrite } from './use-quarantine.ts';

type Sale = Batch['sales'][number];

/** Who bought of the batch; for one that is held, who was told and who is still to be. */
export function RecallList({ batch, mayContact }: { batch: Batch; mayContact: boolean }) {
  const [calling, call_] = useState<Sale>();
  const stopped = isHeld(batch.state);
  const open = batch.sales.find(({ settled }) => !settled);
  useKeys(
    'Recall',
    stopped && mayContact && open
      ? [{ press: 'c', does: 'Note a call to the next buyer', run: () => call_(open) }]
      : [],
  );
  return (
    <section aria-label="Sold of it">
      <h2 className="text-lead font-semibold">
        {stopped ? 'Recall: sold of it before' : 'Sold of it'}
        {stopped && batch.toContact > 0 && <span className="text-madder">, {batch.toContact} to reach</span>}
      </h2>
      {batch.recallClosed && (
        <p className="text-lichen">
          Closed {printMoment(batch.recallClosed.at)} by {batch.recallClosed.by}: {batch.recallClosed.reason}
        </p>
      )}
      {batch.sales.length === 0 ? (
        <p className="text-soft">None of it was sold.</p>
      ) : (
        <table className="w-full max-w-4xl">
          <thead className="text-left text-xs text-slate">
            <tr>
              <th className="font-normal">Slip</th>
              <th className="font-normal">Customer</th>
              <th className="font-normal">Sold</th>
              <th className="text-right font-normal">Pieces</th>
              <th className="pl-3 font-normal">Batch</th>
              <th className="font-normal">Told</th>
            </tr>
          </thead>
          <tbody>
            {batch.sales.map((sale) => (
              <tr key={sale.lineId} className="border-t border-hair align-top">
                <td className="num">{String(sale.docket).padStart(5, '0')}</td>
                <td>
                  {sale.customer === '' ? 'nobody noted' : sale.customer}
                  <span className="block text-soft">{sale.vehicle}</span>
                </td>
                <td>{printMoment(sale.soldAt)}</td>
                <td className="num text-right">{sale.quantity}</td>
                <td className="pl-3 text-soft">
                  {sale.named ? 'named at the sale' : 'taken for granted, oldest first'}
                </td>
                <td>
                  {sale.contacts.map((contact) => (
                    <span key={contact.at} className="block">
                      {CONTACT_WORDS[contact.outcome]}{' '}
                      <span className="text-soft">
                        {printMoment(contact.at)}, {contact.by}
                        {contact.note === '' ? '' : `: ${contact.note}`}
                      </span>
                    </span>
                  ))}
                  {stopped && sale.settled && <Mark kind="match" label="Settled" rem={0.625} />}
                  {stopped && mayContact && (
                    <button type="button" className="min-h-6 underline" onClick={() => call_(sale)}>
                      {sale.settled ? 'Add to it' : 'Note a call'} {sale === open && <Key>c</Key>}
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {calling && <CallDialog batch={batch} sale={calling} onClose={() => call_(undefined)} />}
    </section>
  );
}

/** What came of a call: one letter. */
function CallDialog({ batch, sale, onClose }: { batch: Batch; sale: Sale; onClose: () => void }) {
  const write = useQuarantineWrite<Batch>();
  const [note, setNote] = useState('');
  const outcomes = Object.keys(CONTACT_WORDS) as ContactOutcome[];
  const store = (outcome: ContactOutcome) =>
    write.mutate(
      () =>
        call('noteContact', {
          params: { batchId: batch.batchId },
          body: { lineId: sale.lineId, outcome, note: note.trim() },
        }),
      { onSuccess: onClose },
    );
  useKeys(
    'Call',
    outcomes.map((outcome, i) => ({ press: LETTERS[i]!, does: CONTACT_WORDS[outcome], run: () => store(outcome) })),
    { inDialog: true },
  );
  return (
    <Dialog
      title={`Call to ${sale.customer === '' ? `the buyer of slip ${sale.docket}` : sale.customer}`}
      about={`${sale.quantity} × ${batch.printed}, ${sale.vehicle}. Say what was found and what to do: stop using them, bring them back. Do not say more about the seller than the evidence does.`}
      onClose={onClose}
    >
      <div className="grid gap-2">
        <div className="flex flex-wrap gap-2">
          {outcomes.map((outcome, i) => (
            <button
              key={outcome}
              type="button"
              className="button-plain"
              autoFocus={i === 0}
              onClick={() => store(outcome)}
            >
              <Key>{LETTERS[i]}</Key> {CONTACT_WORDS[outcome]}
            </button>
          ))}
        </div>
        <label className="grid gap-1">
          <span>Note</span>
          <input className="field" value={note} maxLength={200} onChange={(event) => setNote(event.target.value)} />
        </label>
      </div>
    </Dialog>
  );
}
