import type { ToolLoan } from '@brackenfell/contract/loan';
import { printDate } from '@brackenfell/core/words/moments';
import { printPrice } from '@brackenfell/core/words/money';
import { SureButton } from '../controls/sure-button.tsx';
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
          <SureButton
            asks="It is back"
            sure={`${printPrice(loan.depositMinor)} returned: settle it`}
            onSure={() => settle('back')}
          />
          {loan.isOverdue && (
            <SureButton
              asks="Sold for its deposit"
              sure={`${printPrice(loan.depositMinor)} kept: settle it`}
              onSure={() => settle('sold')}
            />
          )}
        </span>
      )}
    </li>
  );
}
