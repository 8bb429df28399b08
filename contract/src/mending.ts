import { z } from 'zod';
import { Day, Month } from './calendar.ts';
import { RECORDED_FACT_IDS, SOURCE_RANKS } from '@brackenfell/core/facts/facts';
import type { FormNode } from '@brackenfell/core/record/form-node';
import { WRITTEN_RANKS } from '@brackenfell/core/facts/fact-form';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { NAME_KINDS } from './catalogue-file.ts';
import { EDITORS, endpoint, EngineKey, Id, line } from './endpoint.ts';
import { Consequences } from './consequences.ts';
import { PartKind } from './part-kind.ts';

const Form = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('figure'), quantity: z.string(), unit: z.enum(['mm', 'kΩ', 'km']) }),
  z.object({
    kind: z.literal('choose'),
    options: z.array(z.object({ value: z.union([z.string(), z.boolean(), z.number()]), says: z.string() })),
  }),
  /** A rating of one of these scales. */
  z.object({ kind: z.literal('heat'), scales: z.array(z.object({ maker: z.string(), name: z.string() })) }),
  /** A value that has parts of its own: a torque with its condition, a set of leads. */
  z.object({ kind: z.literal('parts'), of: z.unknown() as unknown as z.ZodType<FormNode> }),
]);

export const Mending = z
  .object({
    partId: Id,
    printed: z.string(),
    maker: z.string(),
    kind: PartKind,
    facts: z.array(
      z.object({
        fact: z.enum(RECORDED_FACT_IDS),
        label: z.string(),
        question: z.string(),
        /** How it is written down here. */
        form: Form,
        figures: z.array(
          z.object({
            figureId: Id,
            value: z.string(),
            rank: z.enum(SOURCE_RANKS),
            source: z.string(),
            /** It is one of those the checks go by. */
            rules: z.boolean(),
          }),
        ),
      }),
    ),
    /** Standing ones, in and out of it. */
    references: z.array(
      z.object({
        edgeId: Id,
        /** `to`: said of this part; `from`: of the other. A part that is replaced stands before what replaces it. */
        direction: z.enum(['to', 'from']),
        grade: z.enum(REFERENCE_GRADES),
        printed: z.string(),
        maker: z.string(),
        source: z.string(),
        notedOn: z.string(),
        inForceFrom: z.string().nullable(),
      }),
    ),
    /** The number it is called by first. */
    names: z.array(z.object({ nameId: Id, as: z.enum(NAME_KINDS), printed: z.string() })),
    /** Who offers it for which engines. */
    listings: z.array(
      z.object({
        listingId: Id,
        engineId: EngineKey,
        engine: z.string(),
        place: z.string().nullable(),
        source: z.string(),
        statedOn: z.string(),
        builtFrom: z.string().nullable(),
        builtTo: z.string().nullable(),
      }),
    ),
    price: z.object({ eachMinor: z.number().int(), packOf: z.number().int() }).nullable(),
    /** The latest first. */
    history: z.array(
      z.object({
        entryId: Id,
        at: z.iso.datetime(),
        by: z.string(),
        says: z.string(),
        /** It is the last word on what it changed, and can be taken back. */
        canUndo: z.boolean(),
      }),
    ),
  })
  .meta({ id: 'Mending' });
export type Mending = z.infer<typeof Mending>;

export const MendingChange = z.discriminatedUnion('what', [
  z
    .object({
      what: z.literal('figure'),
      fact: z.enum(RECORDED_FACT_IDS),
      /** As the fact records it; refused where it does not. */
      value: z.json(),
      rank: z.enum(WRITTEN_RANKS),
      source: line(60).trim().min(2),
    })
    .strict(),
  z.object({ what: z.literal('withdraw'), figureId: Id }).strict(),
  z
    .object({
      what: z.literal('reference'),
      toPartId: Id,
      grade: z.enum(REFERENCE_GRADES),
      source: line(60).trim().min(2),
      /** Null where it is in force already. */
      inForceFrom: Day.nullable(),
    })
    .strict(),
  z.object({ what: z.literal('cut'), edgeId: Id }).strict(),
  z.object({ what: z.literal('name'), as: z.enum(NAME_KINDS), printed: line(60).trim().min(2) }).strict(),
  z.object({ what: z.literal('unname'), nameId: Id }).strict(),
  z
    .object({
      what: z.literal('listing'),
      engineId: EngineKey,
      /** Only at this place of a cylinder; null for all. */
      place: line(40).trim().min(1).nullable(),
      source: line(60).trim().min(2),
      builtFrom: Month.nullable(),
      builtTo: Month.nullable(),
    })
    .strict()
    .refine(({ builtFrom, builtTo }) => builtFrom === null || builtTo === null || builtFrom <= builtTo, {
      path: ['builtTo'],
      message: 'ends before it begins',
    }),
  z.object({ what: z.literal('unlist'), listingId: Id }).strict(),
  z
    .object({
      what: z.literal('price'),
      eachMinor: z.number().int().min(1).max(10_000_000),
      packOf: z.number().int().min(1).max(100),
    })
    .strict(),
]);
export type MendingChange = z.infer<typeof MendingChange>;

const params = z.object({ partId: Id });

export const getMending = endpoint('getMending', {
  summary: 'All that is recorded of a part, what it rules, and what was changed.',
  roles: EDITORS,
  params,
  response: Mending,
});

export const previewMending = endpoint('previewMending', {
  summary: 'What a change would make of verdicts; nothing is written.',
  roles: EDITORS,
  params,
  body: z.object({ change: MendingChange }).strict(),
  response: Consequences,
});

export const mendPart = endpoint('mendPart', {
  summary: 'Record a figure or a reference, withdraw or cut one, or set price and pack.',
  roles: EDITORS,
  params,
  body: z.object({ change: MendingChange }).strict(),
  response: Mending,
  idempotent: true,
});

export const undoMending = endpoint('undoMending', {
  summary: 'Take a change back: what it replaced holds again.',
  roles: EDITORS,
  params,
  body: z.object({ entryId: Id }).strict(),
  response: Mending,
  idempotent: true,
});
