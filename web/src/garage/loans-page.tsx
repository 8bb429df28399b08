import { Link } from 'react-router';
import { Mark } from '../controls/mark.tsx';
import { printDocket } from '../counter/print-docket.ts';
import { LoanLine } from '../hand-over/loans-panel.tsx';
import { useLoans } from '../hand-over/use-loans.ts';

/** Tools that are out, the overdue first: whom to ask, and what came back. */
export function LoansPage() {
  const { data, error } = useLoans(undefined);
  const out = data?.loans.filter(({ settled }) => settled === null) ?? [];
  const overdue = out.filter(({ isOverdue }) => isOverdue).length;
  return (
    <main className="desk-main col-span-2" aria-label="Tool loans">
      <header className="set-up-head">
        <Mark kind={overdue > 0 ? 'caution' : 'match'} rem={1.25} />
        <h1 className="text-head font-semibold">
          {data ? `${out.length} lent, ${overdue} overdue` : 'Looking what is lent …'}
        </h1>
        <span className="text-soft">What is overdue is asked for, then sold for its deposit.</span>
      </header>
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="Loans">
        {error && (
          <p role="alert" className="text-madder">
            {error.message}
          </p>
        )}
        {data?.loans.length === 0 && (
          <p className="text-soft">Nothing was ever lent. A tool of the kit is lent from the hand-over stage.</p>
        )}
        <ul className="grid max-w-4xl gap-2">
          {data?.loans.map((loan) => (
            <li key={loan.loanId} className="border-t border-line pt-1">
              <p>
                <Link className="num underline" to={`/slips/${loan.slipId}`}>
                  {printDocket(loan.docket)}
                </Link>{' '}
                {[loan.customer, loan.vehicle].filter(Boolean).join(', ')} <span className="num">{loan.phone}</span>
              </p>
              <ul>
                <LoanLine loan={loan} />
              </ul>
            </li>
          ))}
        </ul>
      </div>
    </main>
  );
}
