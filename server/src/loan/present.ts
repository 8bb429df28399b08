import type { ToolLoan } from '@brackenfell/contract/loan';
import { today } from '../context/today.ts';
import type { LoanRow } from './store.ts';

/** A loan as it is told; overdue from the day after its own. */
export const loanView = (row: LoanRow): ToolLoan => ({
  loanId: row.id,
  slipId: row.slip_id,
  docket: row.docket,
  customer: row.customer,
  phone: row.phone,
  vehicle: row.vehicle,
  tool: row.tool,
  depositMinor: row.deposit_minor,
  dueOn: row.due_on,
  isOverdue: row.settled_at === null && row.due_on < today(),
  by: row.by,
  lentAt: row.lent_at.toISOString(),
  settled:
    row.settled_at === null ? null : { as: row.settled_as!, by: row.settled_by!, at: row.settled_at.toISOString() },
});
