import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';
import { z } from 'zod';
import { Day } from './calendar.ts';
import { CHANNELS } from '@brackenfell/core/authenticity/prior';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { ReferenceContent } from './proof-reference.ts';

/** Sellers, references and what was received and sold before: how a shop's past comes in. */
export const ProofFile = z.object({
  sellers: z.array(z.object({ name: z.string().min(1), channel: z.enum(CHANNELS) })),
  references: z.array(
    z.object({
      makerId: z.string(),
      partKind: z.enum(PART_KINDS),
      generation: z.string(),
      content: ReferenceContent,
    }),
  ),
  batches: z.array(
    z.object({
      number: z.string(),
      seller: z.string(),
      code: z.string().default(''),
      quantity: z.number().int().positive(),
      onHand: z.number().int().min(0),
      unitCostMinor: z.number().int().positive().nullable().default(null),
      receivedOn: Day,
      state: z.enum(BATCH_STATES).default('open'),
      reason: z.string().default(''),
      settledBy: z.string().default(''),
    }),
  ),
  sales: z.array(
    z.object({
      customer: z.string(),
      vehicle: z.string(),
      engineId: z.string(),
      soldOn: Day,
      soldBy: z.string(),
      lines: z.array(
        z.object({ number: z.string(), quantity: z.number().int().positive(), batchCode: z.string().optional() }),
      ),
    }),
  ),
});
export type ProofFile = z.infer<typeof ProofFile>;
