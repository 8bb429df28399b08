import { z } from 'zod';
import { Day } from './calendar.ts';
import { COUNTER, endpoint, Id, line } from './endpoint.ts';

export const SETTLED_AS = ['back', 'sold'] as const;

/** A tool that is lent, on the slip it went with. */
export const ToolLoan = z
  .object({
    loanId: Id,
    slipId: Id,
    docket: z.number().int(),
    customer: z.string(),
    phone: z.string(),
    vehicle: z.string(),
    tool: z.string(),
    depositMinor: z.number().int(),
    dueOn: z.string(),
    isOverdue: z.boolean(),
    by: z.string(),
    lentAt: z.string(),
    settled: z.object({ as: z.enum(SETTLED_AS), by: z.string(), at: z.string() }).nullable(),
  })
  .meta({ id: 'ToolLoan' });
export type ToolLoan = z.infer<typeof ToolLoan>;

export const listLoans = endpoint('listLoans', {
  summary: 'Tools that are out, the overdue first, and those settled of late; of one slip all of them.',
  roles: COUNTER,
  query: z.object({ slip: Id.optional() }),
  response: z.object({ loans: z.array(ToolLoan) }),
});

export const lendTool = endpoint('lendTool', {
  summary: 'Lend a tool with a deposit, to a day.',
  roles: COUNTER,
  params: z.object({ slipId: Id }),
  body: z
    .object({
      tool: line(80).trim().min(1),
      depositMinor: z.number().int().min(0).max(1_000_000),
      dueOn: Day,
    })
    .strict(),
  response: ToolLoan,
  status: 201,
  idempotent: true,
});

export const settleLoan = endpoint('settleLoan', {
  summary: 'A lent tool is back and its deposit returned, or it is sold for it. Settled once.',
  roles: COUNTER,
  params: z.object({ loanId: Id }),
  body: z.object({ as: z.enum(SETTLED_AS) }).strict(),
  response: ToolLoan,
  idempotent: true,
});
