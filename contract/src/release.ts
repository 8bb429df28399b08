import { z } from 'zod';
import { COUNTER, endpoint, Id, line } from './endpoint.ts';
import { Slip } from './slip.ts';

const slipLine = z.object({ slipId: Id, lineId: Id });
const reason = line(300).trim().min(3, 'say in a few words why');
const version = z.number().int().min(1);

export const releaseLine = endpoint('releaseLine', {
  summary:
    'The supervisor lets a line through that waits for them. Neither an open question nor a refusal can be released.',
  roles: ['supervisor'],
  params: slipLine,
  body: z.object({ version, reason }).strict(),
  response: Slip,
  idempotent: true,
});

export const releaseLineByPin = endpoint('releaseLineByPin', {
  summary: 'The same at somebody else’s counter: the supervisor is there in person and gives their PIN.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version, reason, staffId: Id, pin: z.string().min(1).max(12) }).strict(),
  response: Slip,
  idempotent: true,
});

export const WaitingLine = z
  .object({
    slipId: Id,
    docket: z.number().int(),
    version: z.number().int(),
    lineId: Id,
    customer: z.string(),
    engine: z.string().nullable(),
    printed: z.string(),
    maker: z.string(),
    quantity: z.number().int(),
    reason: z.string(),
    holder: z.string().nullable(),
    /** The sentences of the cautions. */
    says: z.array(z.string()),
    since: z.string(),
  })
  .meta({ id: 'WaitingLine' });
export type WaitingLine = z.infer<typeof WaitingLine>;

export const listWaiting = endpoint('listWaiting', {
  summary: 'Lines of open and parked slips that wait for a supervisor, the longest first.',
  roles: ['supervisor'],
  response: z.object({ lines: z.array(WaitingLine) }),
});
