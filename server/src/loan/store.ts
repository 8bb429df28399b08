import type { Database, Writing } from '../db/database.ts';

const loans = (db: Database) =>
  db
    .selectFrom('tool_loan')
    .innerJoin('slip', 'slip.id', 'tool_loan.slip_id')
    .innerJoin('staff', 'staff.id', 'tool_loan.staff_id')
    .leftJoin('staff as settler', 'settler.id', 'tool_loan.settled_by_id')
    .selectAll('tool_loan')
    .select([
      'slip.docket',
      'slip.customer',
      'slip.phone',
      'slip.vehicle',
      'staff.name as by',
      'settler.name as settled_by',
    ]);
export type LoanRow = Awaited<ReturnType<ReturnType<typeof loans>['execute']>>[number];

const MOST_LOANS = 200;

/** What is out, the longest due first; then what was settled, the latest first. */
export const readLoans = (db: Database, slipId: string | undefined): Promise<LoanRow[]> => {
  const query = loans(db)
    .orderBy((eb) => eb('tool_loan.settled_at', 'is not', null))
    .orderBy('tool_loan.settled_at', 'desc')
    .orderBy('tool_loan.due_on')
    .orderBy('tool_loan.id')
    .limit(MOST_LOANS);
  return (slipId === undefined ? query : query.where('slip_id', '=', slipId)).execute();
};

export const readLoan = (db: Database, loanId: string) =>
  loans(db).where('tool_loan.id', '=', loanId).executeTakeFirst();

export async function addLoan(
  trx: Writing,
  loan: { slipId: string; tool: string; depositMinor: number; dueOn: string; staffId: string },
): Promise<string> {
  const { id } = await trx
    .insertInto('tool_loan')
    .values({
      slip_id: loan.slipId,
      tool: loan.tool,
      deposit_minor: loan.depositMinor,
      due_on: loan.dueOn,
      staff_id: loan.staffId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Whether it was still out. */
export async function settle(
  trx: Writing,
  { loanId, as, staffId }: { loanId: string; as: 'back' | 'sold'; staffId: string },
): Promise<boolean> {
  const { numUpdatedRows } = await trx
    .updateTable('tool_loan')
    .set({ settled_at: new Date(), settled_by_id: staffId, settled_as: as })
    .where('id', '=', loanId)
    .where('settled_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
