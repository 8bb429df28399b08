import { z } from 'zod';
import { Day } from './calendar.ts';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { MEASURED_IDS, TELL_ASPECTS, TELL_PLACES } from '@brackenfell/core/authenticity/tell';
import { endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { TellDrawing } from './tell-drawing.ts';

const chance = z.number().min(0.001).max(0.999);

export const ProofTell = z
  .object({
    id: z
      .string()
      .regex(/^[a-z][a-z0-9-]{0,30}$/, 'must be small letters, figures and dashes')
      .refine((id) => !(id in {}), 'is a word of the machine’s own'),
    title: line(40).min(1),
    group: line(30).min(1),
    aspect: z.enum(TELL_ASPECTS),
    place: z.enum(TELL_PLACES),
    look: line(200),
    genuine: line(60).min(1),
    suspect: line(60).min(1),
    differs: z.object({ ifGenuine: chance, ifFake: chance }),
    source: line(120).min(3, 'say where the chances come from'),
    minutes: z.number().min(0.1).max(60),
    seen: z.number().min(0.05).max(1),
    measure: z
      .object({
        quantity: z.enum(MEASURED_IDS),
        nominal: z.union([z.number().positive(), z.literal('catalogue')]),
        tolerance: z.number().positive(),
      })
      .optional(),
    drawing: z.object({ genuine: TellDrawing, suspect: TellDrawing }),
  })
  .meta({ id: 'ProofTell' });
export type ProofTell = z.infer<typeof ProofTell>;

const BatchCodeField = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('constant'), text: z.string().min(1).max(8) }),
  z.object({ kind: z.literal('works'), codes: z.record(z.string().min(1).max(3), line(40)) }),
  z.object({ kind: z.literal('year-letter'), letters: z.string().min(2).max(26), first: z.number().int() }),
  z.object({ kind: z.literal('year-digit') }),
  z.object({ kind: z.literal('year-two-digits') }),
  z.object({ kind: z.literal('week') }),
  z.object({ kind: z.literal('month') }),
  z.object({ kind: z.literal('month-letter'), letters: z.string().length(12) }),
  z.object({ kind: z.literal('day') }),
  z.object({ kind: z.literal('serial'), digits: z.number().int().min(1).max(8) }),
]);

/** What genuine and fake pieces of one maker and packaging generation look like. */
export const ReferenceContent = z
  .object({
    title: line(80).min(1),
    /** When this packaging came and went; null where it still is, or is not known. */
    from: Day.nullable(),
    to: Day.nullable(),
    batchCode: z.object({ title: line(120).min(1), fields: z.array(BatchCodeField).min(1).max(8) }).nullable(),
    tells: z
      .array(ProofTell)
      .min(1)
      .max(16)
      .refine((tells) => new Set(tells.map(({ id }) => id)).size === tells.length, 'each tell needs an id of its own'),
  })
  .meta({ id: 'ReferenceContent' });
export type ReferenceContent = z.infer<typeof ReferenceContent>;

const partKind = z.enum(PART_KINDS);
const generation = z.string().regex(/^[a-z0-9-]{1,20}$/, 'must be small letters, figures and dashes');

export const ProofReference = z
  .object({
    referenceId: Id,
    makerId: z.string(),
    maker: z.string(),
    partKind,
    generation,
    version: z.number().int(),
    content: ReferenceContent,
    by: z.string().nullable(),
    at: z.string(),
  })
  .meta({ id: 'ProofReference' });
export type ProofReference = z.infer<typeof ProofReference>;

export const listReferences = endpoint('listReferences', {
  summary: 'The latest version of every reference of genuine and suspect parts.',
  roles: EVERYONE,
  response: z.object({ references: z.array(ProofReference) }),
});

export const saveReference = endpoint('saveReference', {
  summary: 'A reference’s next version. Inspections keep the version they were made with.',
  roles: ['editor'],
  body: z
    .object({
      makerId: z.string().max(40),
      partKind,
      generation,
      /** The version it was made from; 0 for a reference of a maker or generation that had none. */
      basedOn: z.number().int().min(0),
      content: ReferenceContent,
    })
    .strict(),
  response: ProofReference,
  status: 201,
  idempotent: true,
});
