import { useState } from 'react';
import type { ToolLoan } from '@brackenfell/contract/loan';
import { oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import { printDate } from '@brackenfell/core/words/moments';
import { printPrice } from '@brackenfell/core/words/money';
import { dayAfter } from '@brackenfell/core/words/calendar';
import { todayHere } from '../controls/moment.ts';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { call } from '../wire/call.ts';
import { useLoans, useLoanWrite } from './use-loans.ts';

/** What is lent with this slip, and whether it is back. */
export function LoansPanel({ slipId }: { readonly slipId: string }) {
  const { data, error } = useLoans(slipId);
  if (error)
    return (
      <p role="alert" className="set-up-panel text-madder">
        {error.message}
      </p>
    );
  if (!data || data.loans.length === 0) return null;
  return (
    <section aria-label="Lent" className="set-up-panel">
      <h2 className="text-lead font-semibold">Lent</h2>
      <ul>
        {data.loans.map((loan) => (
          <LoanLine key={loan.loanId} loan={loan} />
        ))}
      </ul>
    </section>
  );
}

/** One tool that is lent: to when, for what deposit; back, or sold for it. */
export function LoanLine({ loan }: { readonly loan: ToolLoan }) {
  const write = useLoanWrite();
  const settle = (as: 'back' | 'sold') =>
    write.mutate(() => call('settleLoan', { params: { loanId: loan.loanId }, body: { as } }));
  const [asked, ask] = useState<'back' | 'sold'>();
  return (
    <li className="flex flex-wrap items-baseline gap-x-2 border-t border-hair py-0.5">
      <b className="font-semibold">{loan.tool}</b>
      <span className="num">{printPrice(loan.depositMinor)}</span>
      <span className={`flex-1 ${loan.isOverdue ? 'text-madder' : 'text-soft'}`}>
        {loan.settled
          ? `${loan.settled.as === 'back' ? 'back' : 'sold for its deposit'} ${printDate(loan.settled.at)}, ${loan.settled.by}`
          : `${loan.isOverdue ? 'overdue since' : 'back by'} ${printDate(loan.dueOn)}`}
      </span>
      {!loan.settled && (
        <span className="flex gap-2">
          {asked === undefined ? (
            <>
              <button type="button" className="button-plain" onClick={() => ask('back')}>
                It is back
              </button>
              {loan.isOverdue && (
                <button type="button" className="button-plain" onClick={() => ask('sold')}>
                  Sold for its deposit
                </button>
              )}
            </>
          ) : (
            <>
              {/* Settled for good: the second press says what becomes of the deposit. */}
              <button type="button" className="button-act" autoFocus onClick={() => settle(asked)}>
                {printPrice(loan.depositMinor)} {asked === 'back' ? 'returned' : 'kept'}: settle it
              </button>
              <button type="button" className="button-plain" onClick={() => ask(undefined)}>
                Not yet
              </button>
            </>
          )}
        </span>
      )}
    </li>
  );
}

interface LendProps {
  readonly slipId: string;
  readonly tool: string;
  readonly onClose: () => void;
}

/** A tool of the kit leaves as a loan: its deposit, and the day it is back. */
export function LendDialog({ slipId, tool, onClose }: LendProps) {
  const draft = useDraftOf(`lend ${slipId} ${tool}`, { tool, deposit: '25', dueOn: dayAfter(todayHere(), 7) });
  const write = useLoanWrite();
  const { deposit, dueOn } = draft.value;
  const reading = readPence(deposit);
  const isReady = reading?.kind === 'plain' && dueOn !== '' && draft.value.tool.trim() !== '';
  return (
    <Dialog title="Lend a tool" onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isReady || write.isPending) return;
          const body = { tool: draft.value.tool.trim(), depositMinor: oneOf(reading)!, dueOn };
          write.mutate(() => call('lendTool', { params: { slipId }, body }), {
            onSuccess: () => {
              draft.clear();
              onClose();
            },
          });
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">Tool</span>
          <input
            className="field"
            autoFocus
            value={draft.value.tool}
            maxLength={80}
            onChange={(event) => draft.set({ ...draft.value, tool: event.target.value })}
          />
        </label>
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">Deposit, £</span>
          <input
            className="field num"
            value={deposit}
            maxLength={10}
            onChange={(event) => draft.set({ ...draft.value, deposit: event.target.value })}
          />
        </label>
        <AskedBack reading={reading} onChoose={(value) => draft.set({ ...draft.value, deposit: value })} />
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">Back by</span>
          <input
            type="date"
            className="field num"
            value={dueOn}
            onChange={(event) => draft.set({ ...draft.value, dueOn: event.target.value })}
          />
        </label>
        <button type="submit" className="button-act justify-self-start" disabled={!isReady}>
          Lend it
        </button>
      </form>
    </Dialog>
  );
}
