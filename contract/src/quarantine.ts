import { z } from 'zod';
import { BANDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNELS } from '@brackenfell/core/authenticity/prior';
import { COUNTER, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';
import { InspectionLine } from './inspection.ts';

export const CONTACT_OUTCOMES = ['reached', 'left-word', 'no-answer', 'returned', 'not-traceable'] as const;
/** Outcomes after which nobody need be called again. */
export const SETTLED_CONTACTS = ['reached', 'returned', 'not-traceable'] as const;

export const BatchLine = z
  .object({
    batchId: Id,
    partId: Id,
    printed: z.string(),
    maker: z.string(),
    code: z.string(),
    seller: z.string(),
    state: z.enum(BATCH_STATES),
    quantity: z.number().int(),
    onHand: z.number().int(),
    sold: z.number().int(),
    /** Sales nobody has been reached about. */
    toContact: z.number().int(),
    receivedAt: z.string(),
    band: z.enum(BANDS),
    chance: z.number().nullable(),
  })
  .meta({ id: 'BatchLine' });
export type BatchLine = z.infer<typeof BatchLine>;

export const RecallNotice = z
  .object({
    noticeId: Id,
    printed: z.string(),
    maker: z.string(),
    code: z.string(),
    from: z.string(),
    says: z.string(),
    at: z.string(),
    by: z.string(),
    batches: z.number().int(),
  })
  .meta({ id: 'RecallNotice' });

export const listBatches = endpoint('listBatches', {
  summary: 'Batches received or met, held ones first; and incoming recall notices.',
  roles: EVERYONE,
  query: z.object({ partId: Id.optional() }),
  response: z.object({ batches: z.array(BatchLine), more: z.number().int(), notices: z.array(RecallNotice) }),
});

export const Sale = z
  .object({
    slipId: Id,
    docket: z.number().int(),
    lineId: Id,
    customer: z.string(),
    vehicle: z.string(),
    quantity: z.number().int(),
    soldAt: z.string(),
    /** Whether somebody named the batch at the sale; otherwise the oldest on the shelf was taken for granted. */
    named: z.boolean(),
    contacts: z.array(
      z.object({ at: z.string(), by: z.string(), outcome: z.enum(CONTACT_OUTCOMES), note: z.string() }),
    ),
    settled: z.boolean(),
  })
  .meta({ id: 'RecallSale' });
export type Sale = z.infer<typeof Sale>;

export const Batch = BatchLine.extend({
  version: z.number().int(),
  sellerId: Id,
  channel: z.enum(CHANNELS),
  deliveryId: Id.nullable(),
  unitCostMinor: z.number().int().nullable(),
  events: z.array(
    z.object({
      at: z.string(),
      by: z.string(),
      action: z.enum(['hold', 'release', 'confirm', 'close-recall', 'notice']),
      reason: z.string(),
    }),
  ),
  inspections: z.array(InspectionLine),
  sales: z.array(Sale),
  recallClosed: z.object({ at: z.string(), by: z.string(), reason: z.string() }).nullable(),
}).meta({ id: 'Batch' });
export type Batch = z.infer<typeof Batch>;

const batchId = z.object({ batchId: Id });
const version = z.number().int().min(1);
const reason = line(300).trim().min(3, 'say in a few words why');

export const getBatch = endpoint('getBatch', {
  summary: 'One batch: what was found of it, where it went, who was told.',
  roles: EVERYONE,
  params: batchId,
  response: Batch,
});

export const holdBatch = endpoint('holdBatch', {
  summary: 'Hold a batch: from now on none of it can be sold, whoever tries and by whatever way.',
  roles: COUNTER,
  params: batchId,
  body: z.object({ version, reason }).strict(),
  response: Batch,
  idempotent: true,
});

export const settleBatch = endpoint('settleBatch', {
  summary:
    'The supervisor’s word: genuine and for sale, or confirmed as not genuine. It counts in the seller’s record.',
  roles: ['supervisor'],
  params: batchId,
  body: z.object({ version, as: z.enum(['release', 'confirm']), reason }).strict(),
  response: Batch,
  idempotent: true,
});

export const noteContact = endpoint('noteContact', {
  summary: 'Write down that a buyer of a recalled batch was called, and what came of it.',
  roles: COUNTER,
  params: batchId,
  body: z.object({ lineId: Id, outcome: z.enum(CONTACT_OUTCOMES), note: line(200).default('') }).strict(),
  response: Batch,
  idempotent: true,
});

export const closeRecall = endpoint('closeRecall', {
  summary: 'The supervisor closes a recall, when every buyer was reached or cannot be.',
  roles: ['supervisor'],
  params: batchId,
  body: z.object({ version, reason }).strict(),
  response: Batch,
  idempotent: true,
});

export const enterNotice = endpoint('enterNotice', {
  summary: 'An incoming recall notice by batch: what is here of it is held at once, what comes later when it comes.',
  roles: COUNTER,
  body: z
    .object({
      partId: Id,
      code: line(40).trim().min(1),
      from: line(80).trim().min(2),
      says: line(300).trim().min(3),
    })
    .strict(),
  response: RecallNotice,
  status: 201,
  idempotent: true,
});

export const SellerRecord = z
  .object({
    sellerId: Id,
    name: z.string(),
    channel: z.enum(CHANNELS),
    batches: z.number().int(),
    settled: z.number().int(),
    notGenuine: z.number().int(),
    /** Shares from 0 to 1: found, and the range it lies in nine times in ten. */
    share: z.number().nullable(),
    low: z.number(),
    high: z.number(),
    /** Chance that its next batch is not genuine, before looking. */
    prior: z.number(),
  })
  .meta({ id: 'SellerRecord' });
export type SellerRecord = z.infer<typeof SellerRecord>;

export const listSellers = endpoint('listSellers', {
  summary: 'What each seller’s settled batches say, with how sure that is.',
  roles: EVERYONE,
  response: z.object({ sellers: z.array(SellerRecord) }),
});

export const addSeller = endpoint('addSeller', {
  summary: 'Add a seller that deliveries come from, and by which way their parts reach the shop.',
  roles: ['specialist', 'supervisor'],
  body: z.object({ name: line(80).trim().min(2), channel: z.enum(CHANNELS) }).strict(),
  response: SellerRecord,
  status: 201,
  idempotent: true,
});
