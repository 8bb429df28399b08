import type { Express } from 'express';
import { dayAfter } from '@brackenfell/core/words/calendar';
import { lendTool, listLoans, settleLoan } from '@brackenfell/contract/loan';
import type { Context } from '../context/context.ts';
import { today } from '../context/today.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readSlip } from '../slip/store.ts';
import { loanView } from './present.ts';
import { addLoan, readLoan, readLoans, settle } from './store.ts';

/** Nothing is lent for longer. */
const MOST_DAYS = 92;

/** Tools that leave with a customer: a deposit and a day; back, or sold for it. */
export function loanRoutes(app: Express, context: Context): void {
  serve(app, context, listLoans, async ({ query, db }) => ({
    loans: (await readLoans(db, query.slip)).map(loanView),
  }));

  serve(app, context, lendTool, async ({ params: { slipId }, body, staff, trx }) => {
    const slip = await readSlip(trx, slipId);
    if (!slip) return trouble('not-found', 'There is no slip of that number.');
    if (slip.customer === '' && slip.phone === '')
      return trouble('not-allowed-now', 'A tool is lent to somebody: write down who on the slip first.');
    if (body.dueOn < today() || body.dueOn > dayAfter(today(), MOST_DAYS))
      return trouble('invalid-request', 'Lend it from today to three months on.', { dueOn: 'not within three months' });
    const id = await addLoan(trx, { slipId, ...body, staffId: staff.id });
    return loanView((await readLoan(trx, id))!);
  });

  serve(app, context, settleLoan, async ({ params: { loanId }, body, staff, trx }) => {
    if (!(await readLoan(trx, loanId))) return trouble('not-found', 'No such tool is lent.');
    if (!(await settle(trx, { loanId, as: body.as, staffId: staff.id })))
      return trouble('not-allowed-now', 'It was settled before: look at it as it stands.');
    return loanView((await readLoan(trx, loanId))!);
  });
}
