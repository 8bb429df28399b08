import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';
import { z } from 'zod';
import { BANDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNELS } from '@brackenfell/core/authenticity/prior';
import { COUNTER, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { ProofReference } from './proof-reference.ts';
import { PlugShape } from './shapes.ts';
import { StoredKind } from './part-kind.ts';

export const REFERENCES_USED = ['drawings', 'shop-stock', 'removed-original'] as const;
export const MOST_PIECES = 16;

/** A line of an inspection's journal as it is sent. `piece` counts from 1; 0 is the box or the whole set. */
export const NewEntry = z
  .object({
    what: z.enum(['tell', 'measure', 'number']),
    subject: line(40).min(1),
    piece: z.number().int().min(0).max(MOST_PIECES),
    answer: line(64).default(''),
    value: z.number().min(-1e6).max(1e9).nullable().default(null),
    /** The device a reading came from; null for one that was typed. */
    device: line(60).nullable().default(null),
  })
  .strict();

export const Entry = z
  .object({
    what: z.enum(['tell', 'measure', 'number']),
    subject: z.string(),
    piece: z.number().int(),
    answer: z.string(),
    value: z.number().nullable(),
    device: z.string().nullable(),
    at: z.string(),
    by: z.string(),
  })
  .meta({ id: 'InspectionEntry' });
export type Entry = z.infer<typeof Entry>;

const Conclusion = z
  .object({
    at: z.string(),
    by: z.string(),
    band: z.enum(BANDS),
    chance: z.number(),
    /** What was said, as it was told. */
    says: z.array(z.string()),
    /** Something was added to the journal since. */
    stale: z.boolean(),
  })
  .meta({ id: 'InspectionConclusion' });

export const BatchTag = z
  .object({ batchId: Id, code: z.string(), state: z.enum(BATCH_STATES), seller: z.string() })
  .meta({ id: 'BatchTag' });
export type BatchTag = z.infer<typeof BatchTag>;

/** An inspection with everything it is judged from: the browser and the server judge it by the same function of core. */
export const Inspection = z
  .object({
    inspectionId: Id,
    part: z.object({
      partId: Id,
      printed: z.string(),
      maker: z.string(),
      makerId: z.string(),
      kind: StoredKind,
      names: z.array(z.string()),
      shape: PlugShape.nullable(),
    }),
    seller: z.object({ sellerId: Id, name: z.string() }).nullable(),
    channel: z.enum(CHANNELS),
    record: z.object({ settled: z.number().int(), notGenuine: z.number().int() }),
    batch: BatchTag.nullable(),
    batchCode: z.string(),
    /** The code read field by field, or why it cannot be. */
    batchCodeSays: z.array(z.object({ code: z.string(), says: z.string() })),
    paper: z.array(
      z.object({
        id: z.string(),
        title: z.string(),
        group: z.string(),
        aspect: z.literal('paper'),
        logRatio: z.number(),
        says: z.string(),
      }),
    ),
    price: z.object({ paidMinor: z.number().int(), usualMinor: z.number().nullable() }).nullable(),
    reference: ProofReference.nullable(),
    /** Other generations of the maker that could be chosen. */
    otherReferences: z.array(z.object({ referenceId: Id, title: z.string() })),
    referenceUsed: z.enum(REFERENCES_USED),
    pieces: z.number().int(),
    batchSize: z.number().int(),
    askedFor: z.number().int().nullable(),
    catalogue: z.record(z.string(), z.number()),
    bearers: z.record(
      z.string(),
      z.array(z.object({ partId: Id, printed: z.string(), maker: z.string(), revision: z.string().nullable() })),
    ),
    decoded: z
      .object({
        says: z.string(),
        /** What it says of quantities that can be measured, in their units. */
        figures: z.record(z.string(), z.object({ low: z.number(), high: z.number() })),
        against: z.array(z.string()),
      })
      .nullable(),
    journal: z.array(Entry),
    slip: z.object({ slipId: Id, docket: z.number().int(), lineId: Id }).nullable(),
    conclusion: Conclusion.nullable(),
    begunAt: z.string(),
    begunBy: z.string(),
  })
  .meta({ id: 'Inspection' });
export type Inspection = z.infer<typeof Inspection>;

const inspectionId = z.object({ inspectionId: Id });

export const beginInspection = endpoint('beginInspection', {
  summary: 'Begin the inspection of pieces in hand: from a slip’s line, from a delivery, or alone.',
  roles: COUNTER,
  body: z
    .object({
      partId: Id,
      sellerId: Id.nullable().default(null),
      /** Taken from the seller where there is one; a return says `returned`. */
      channel: z.enum(CHANNELS).optional(),
      batchId: Id.nullable().default(null),
      pieces: z.number().int().min(1).max(MOST_PIECES),
      askedFor: z.number().int().min(1).max(999).nullable().default(null),
      slipLineId: Id.nullable().default(null),
      referenceId: Id.nullable().default(null),
      referenceUsed: z.enum(REFERENCES_USED).default('drawings'),
    })
    .strict(),
  response: Inspection,
  status: 201,
  idempotent: true,
});

export const getInspection = endpoint('getInspection', {
  summary: 'An inspection with its journal and all it is judged from.',
  roles: EVERYONE,
  params: inspectionId,
  response: Inspection,
});

/** A journal after entries were added to it. */
export const NotedEvidence = z
  .object({
    inspectionId: Id,
    journal: z.array(Entry),
    /** What was concluded was concluded before these entries. */
    stale: z.boolean(),
    /** A number or a price was among them: what it says has to be read with the whole inspection. */
    rereads: z.boolean(),
  })
  .meta({ id: 'NotedEvidence' });
export type NotedEvidence = z.infer<typeof NotedEvidence>;

export const noteEvidence = endpoint('noteEvidence', {
  summary:
    'Add to an inspection’s journal. Nothing in it is ever altered; a later entry takes the place of an earlier.',
  roles: COUNTER,
  params: inspectionId,
  body: z.object({ entries: z.array(NewEntry).min(1).max(40) }).strict(),
  response: NotedEvidence,
  idempotent: true,
});

export const concludeInspection = endpoint('concludeInspection', {
  summary: 'Keep what the inspection found, as told; hold the batch with it where asked.',
  roles: COUNTER,
  params: inspectionId,
  body: z.object({ hold: z.boolean(), reason: line(300).default('') }).strict(),
  response: Inspection,
  idempotent: true,
});

export const InspectionLine = z
  .object({
    inspectionId: Id,
    printed: z.string(),
    maker: z.string(),
    seller: z.string().nullable(),
    pieces: z.number().int(),
    band: z.enum(BANDS).nullable(),
    chance: z.number().nullable(),
    at: z.string(),
    by: z.string(),
    slipLineId: Id.nullable(),
  })
  .meta({ id: 'InspectionLine' });
export type InspectionLine = z.infer<typeof InspectionLine>;

export const listInspections = endpoint('listInspections', {
  summary: 'Inspections, the latest first: of one slip, or of all.',
  roles: EVERYONE,
  query: z.object({ slipId: Id.optional() }),
  response: z.object({ inspections: z.array(InspectionLine) }),
});

export const readNumber = endpoint('readNumber', {
  summary: 'Parts that bear a number: exactly, or failing that through worn characters.',
  roles: EVERYONE,
  params: z.object({ number: line(64).min(2) }),
  response: z.object({
    parts: z.array(
      z.object({ partId: Id, printed: z.string(), maker: z.string(), kind: StoredKind, worn: z.boolean() }),
    ),
  }),
});
