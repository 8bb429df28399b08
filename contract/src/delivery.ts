import { z } from 'zod';
import { CHANNELS } from '@brackenfell/core/authenticity/prior';
import { COUNTER, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';

export const MOST_DELIVERED_LINES = 60;

export const Delivery = z
  .object({
    deliveryId: Id,
    seller: z.string(),
    sellerId: Id,
    channel: z.enum(CHANNELS),
    note: z.string(),
    at: z.string(),
    by: z.string(),
    lines: z.array(
      z.object({
        batchId: Id,
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        quantity: z.number().int(),
        code: z.string(),
        unitCostMinor: z.number().int().nullable(),
        orderedUnder: z.string(),
        state: z.enum(BATCH_STATES),
        onHand: z.number().int(),
        /** Of the part in all, after this delivery. */
        partOnHand: z.number().int(),
        suggested: z.object({ chance: z.number(), pieces: z.number().int(), says: z.string() }),
        inspectionId: Id.nullable(),
      }),
    ),
    /** OE numbers that were filled with parts of several makers. */
    mixed: z.array(z.object({ orderedUnder: z.string(), makers: z.array(z.string()) })),
  })
  .meta({ id: 'Delivery' });
export type Delivery = z.infer<typeof Delivery>;

export const receiveDelivery = endpoint('receiveDelivery', {
  summary: 'Take in a delivery: each line a batch; the stock follows, and what to look at first is said.',
  roles: COUNTER,
  body: z
    .object({
      sellerId: Id,
      note: line(200).default(''),
      lines: z
        .array(
          z
            .object({
              partId: Id,
              quantity: z.number().int().min(1).max(9999),
              code: line(40).trim().default(''),
              unitCostMinor: z.number().int().min(1).max(10_000_000).nullable().default(null),
              orderedUnder: line(40).trim().default(''),
            })
            .strict(),
        )
        .min(1, 'a delivery has at least one line')
        .max(MOST_DELIVERED_LINES),
    })
    .strict(),
  response: Delivery,
  status: 201,
  idempotent: true,
});

export const getDelivery = endpoint('getDelivery', {
  summary: 'A delivery with its batches.',
  roles: EVERYONE,
  params: z.object({ deliveryId: Id }),
  response: Delivery,
});

export const listDeliveries = endpoint('listDeliveries', {
  summary: 'Deliveries, the latest first.',
  roles: EVERYONE,
  response: z.object({
    deliveries: z.array(
      z.object({
        deliveryId: Id,
        seller: z.string(),
        at: z.string(),
        by: z.string(),
        lines: z.number().int(),
        pieces: z.number().int(),
      }),
    ),
  }),
});
