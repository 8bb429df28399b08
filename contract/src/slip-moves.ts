import { z } from 'zod';
import { END_REASONS } from '@brackenfell/core/slip/slip-states';
import { COUNTER, endpoint, Id } from './endpoint.ts';
import { Slip, SlipVersion } from './slip.ts';

/** Steps of a slip through its day, each one call against the version that was seen. */
const slipId = z.object({ slipId: Id });
const version = SlipVersion;

export const parkSlip = endpoint('parkSlip', {
  summary: 'Set a slip aside for later.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const takeOverSlip = endpoint('takeOverSlip', {
  summary: 'Take up a parked slip, or one a colleague holds.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const collectSlip = endpoint('collectSlip', {
  summary: 'The sale: the goods leave the shelf. Refused while anything on it is open; final.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

const moved = (name: 'quoteSlip' | 'orderSlip' | 'readySlip', summary: string) =>
  endpoint(name, {
    summary,
    roles: COUNTER,
    params: slipId,
    body: z.object({ version }).strict(),
    response: Slip,
    idempotent: true,
  });
export const quoteSlip = moved('quoteSlip', 'Give it as a quote: its prices are held for fourteen days.');
export const orderSlip = moved('orderSlip', 'It waits for what is not here yet.');
export const readySlip = moved(
  'readySlip',
  'Everything on it is picked and kept for fourteen days. Refused while anything is open.',
);

export const collectPart = endpoint('collectPart', {
  summary: 'Some of it is collected; the rest goes to a linked slip that waits.',
  roles: COUNTER,
  params: slipId,
  body: z
    .object({
      version,
      /** What leaves the counter now; a line left out stays for later. */
      lines: z.array(z.object({ lineId: Id, quantity: z.number().int().min(1).max(999) })).min(1),
    })
    .strict(),
  response: Slip,
  idempotent: true,
});

export const endSlip = endpoint('endSlip', {
  summary: 'End a slip without a sale, with the reason; final.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version, reason: z.enum(END_REASONS) }).strict(),
  response: Slip,
  idempotent: true,
});
