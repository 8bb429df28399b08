import { z } from 'zod';
import { BANDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNELS } from '@brackenfell/core/authenticity/prior';
import { TELL_ANSWERS } from '@brackenfell/core/authenticity/tell';
import { endpoint, EVERYONE, Id } from './endpoint.ts';
import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';
import { REFERENCES_USED } from './inspection.ts';

const Step = z.object({
  title: z.string(),
  aspect: z.enum(['physical', 'packaging', 'paper']),
  /** Factor by which the odds moved, after the caps. */
  factor: z.number(),
  capped: z.boolean(),
  chanceAfter: z.number(),
});

/** What is sent to a seller or maker about a batch: evidence, never an accusation. Chances from 0 to 1, money in pence. */
export const EvidencePack = z
  .object({
    schema: z.literal('urn:brackenfell:evidence-pack:1'),
    madeAt: z.string(),
    madeBy: z.string(),
    statement: z.string(),
    batch: z.object({
      number: z.string(),
      maker: z.string(),
      code: z.string(),
      seller: z.string(),
      channel: z.enum(CHANNELS),
      receivedAt: z.string(),
      quantity: z.number().int(),
      state: z.enum(BATCH_STATES),
      unitCostMinor: z.number().int().nullable(),
    }),
    inspections: z.array(
      z.object({
        inspectionId: Id,
        at: z.string(),
        by: z.string(),
        band: z.enum(BANDS),
        reference: z.string(),
        referenceUsed: z.enum(REFERENCES_USED),
        priorChance: z.number(),
        blocks: z.array(z.string()),
        numbers: z.array(z.object({ place: z.string(), printed: z.string(), outcome: z.string(), says: z.string() })),
        pieces: z.array(
          z.object({
            piece: z.string(),
            band: z.enum(BANDS),
            chance: z.number(),
            steps: z.array(Step),
            tells: z.array(
              z.object({
                title: z.string(),
                answer: z.enum(TELL_ANSWERS),
                genuine: z.string(),
                suspect: z.string(),
              }),
            ),
            readings: z.array(
              z.object({ label: z.string(), value: z.number(), unit: z.string(), expected: z.number().nullable() }),
            ),
          }),
        ),
        journal: z.array(
          z.object({
            at: z.string(),
            by: z.string(),
            piece: z.number().int(),
            says: z.string(),
            device: z.string().nullable(),
          }),
        ),
      }),
    ),
    events: z.array(z.object({ at: z.string(), by: z.string(), action: z.string(), reason: z.string() })),
    /** How many were sold; buyers stay with the shop. */
    soldPieces: z.number().int(),
  })
  .strict()
  .meta({ id: 'EvidencePack' });
export type EvidencePack = z.infer<typeof EvidencePack>;

const params = z.object({ batchId: Id });

export const getEvidencePack = endpoint('getEvidencePack', {
  summary: 'A batch’s evidence as data.',
  roles: EVERYONE,
  params,
  response: EvidencePack,
});

export const printEvidencePack = endpoint('printEvidencePack', {
  summary: 'The same on paper.',
  roles: EVERYONE,
  params,
  response: z.custom<Uint8Array>(),
  produces: 'application/pdf',
});

export const evidencePackSchema = endpoint('evidencePackSchema', {
  summary: 'The JSON Schema that evidence packs keep to.',
  roles: EVERYONE,
  response: z.unknown(),
});

/** The published schema. */
export const evidencePackJsonSchema = (): unknown => z.toJSONSchema(EvidencePack, { target: 'draft-2020-12' });
