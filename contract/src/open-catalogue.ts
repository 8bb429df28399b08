import { z } from 'zod';
import { Day, Month } from './calendar.ts';
import { RECORDED_FACT_IDS, SOURCE_RANKS } from '@brackenfell/core/facts/facts';
import { amissInEngine } from '@brackenfell/core/record/engine-amiss';
import { PART_KINDS, SHELF_KINDS } from '@brackenfell/core/facts/part-kinds';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { EngineTraits, HOT_TO_COLD, NAME_KINDS, NumberGrammar, shapeOf } from './catalogue-file.ts';
import { EDITORS, endpoint, EngineKey, EVERYONE } from './endpoint.ts';
import { EngineNote, EnginePlan } from './engine-plan.ts';

const name = z.string().min(1).max(200);

/** A part by its maker and the first number it is called by. */
const PartRef = z.strictObject({ maker: name, number: name });
export type PartRef = z.infer<typeof PartRef>;

/** One figure as one source states it. What a fact’s value looks like is said by the fact: a line with another is refused. */
const OpenFigure = z
  .strictObject({
    fact: z.enum(RECORDED_FACT_IDS),
    value: z.json(),
    rank: z.enum(SOURCE_RANKS),
    source: name,
    readings: z.number().int().positive().optional(),
  })
  .superRefine(({ fact, value }, issues) => {
    const read = shapeOf(fact).safeParse(value);
    if (!read.success)
      issues.addIssue({ code: 'custom', path: ['value'], message: `no ${fact}: ${read.error.issues[0]!.message}` });
  });
export type OpenFigure = z.infer<typeof OpenFigure>;

/** What a part is in the open format: what is sold, what is ordered by, and a number that only a list speaks of. */
export const OPEN_PART_KINDS = [...PART_KINDS, ...SHELF_KINDS, 'oe-number', 'unheld'] as const;

const lines = {
  catalogue: z.strictObject({ line: z.literal('catalogue'), format: z.literal('brackenfell'), version: z.literal(1) }),
  maker: z.strictObject({ line: z.literal('maker'), id: name, name }),
  scale: z.strictObject({
    line: z.literal('heat-scale'),
    maker: name,
    /** From hot to cold. */
    ratings: z
      .array(z.strictObject({ code: name, indexBar: z.number().positive() }))
      .min(2)
      .refine(...HOT_TO_COLD),
  }),
  numbering: z.strictObject({ line: z.literal('numbering'), grammar: NumberGrammar }),
  part: z.strictObject({
    line: z.literal('part'),
    maker: name,
    kind: z.enum(OPEN_PART_KINDS),
    /** The first is the number it is called by. */
    names: z.array(z.strictObject({ as: z.enum(NAME_KINDS), printed: name })).min(1),
    figures: z.array(OpenFigure).optional(),
    /** Before tax, in minor units. */
    price: z
      .strictObject({ eachMinor: z.number().int().positive(), packOf: z.number().int().min(1).max(100).optional() })
      .optional(),
    sundry: z.strictObject({ title: name, use: name }).optional(),
  }),
  kit: z.strictObject({
    line: z.literal('kit'),
    kit: PartRef,
    holds: z.array(z.strictObject({ part: PartRef, quantity: z.number().int().positive() })).min(1),
  }),
  engine: z
    .strictObject({
      line: z.literal('engine'),
      id: EngineKey,
      maker: name,
      code: name,
      summary: z.string(),
      layout: z.string(),
      visits: z.number().int().nonnegative(),
      cautions: z.array(z.string()),
      traits: EngineTraits,
      builds: z.array(
        z.strictObject({
          label: name,
          from: Month.optional(),
          to: Month.optional(),
          fromSerial: z.number().int().positive().optional(),
          toSerial: z.number().int().positive().optional(),
          traits: EngineTraits,
        }),
      ),
      plan: EnginePlan.optional(),
      notes: z.array(EngineNote),
      positions: z.array(
        z.strictObject({
          kind: z.enum(PART_KINDS),
          /** 0 for what serves the whole engine. */
          cylinder: z.number().int().nonnegative(),
          place: z.string(),
          label: name,
          build: name.optional(),
          figures: z.array(OpenFigure),
        }),
      ),
      vehicles: z.array(
        z.strictObject({ make: name, model: name, from: z.number().int(), to: z.number().int().optional() }),
      ),
      /** Numbers that its maker names. */
      named: z.array(
        z.strictObject({
          part: PartRef,
          kind: z.enum(PART_KINDS),
          place: name.optional(),
          note: z.string().optional(),
        }),
      ),
    })
    .superRefine((engine, issues) => {
      for (const { at, says } of amissInEngine(engine))
        issues.addIssue({ code: 'custom', path: at.split('.'), message: says });
    }),
  reference: z.strictObject({
    line: z.literal('reference'),
    from: PartRef,
    to: PartRef,
    grade: z.enum(REFERENCE_GRADES),
    source: name,
    notedOn: Day,
    note: z.string().optional(),
    condition: z.string().optional(),
    engines: z.array(EngineKey).optional(),
    inForceFrom: Day.optional(),
    /** Cut by an editor: kept, and led along by nobody. */
    isCut: z.literal(true).optional(),
  }),
  listing: z.strictObject({
    line: z.literal('listing'),
    part: PartRef,
    engine: EngineKey,
    place: name.optional(),
    source: name,
    statedOn: Day,
    builtFrom: Month.optional(),
    builtTo: Month.optional(),
  }),
  classList: z.strictObject({
    line: z.literal('class-list'),
    className: name,
    from: Day,
    to: Day.optional(),
    /** In normal form. */
    numbers: z.array(name),
    source: name,
  }),
};

/** Lines that are mended as a whole, by what they are of. */
export const RECORD_LINES = { engine: lines.engine, 'heat-scale': lines.scale, numbering: lines.numbering } as const;

/** One line of the open format: JSON, one object a line, in this order. */
export const OpenLine = z.discriminatedUnion('line', [
  lines.catalogue,
  lines.maker,
  lines.scale,
  lines.numbering,
  lines.part,
  lines.kit,
  lines.engine,
  lines.reference,
  lines.listing,
  lines.classList,
]);
export type OpenLine = z.infer<typeof OpenLine>;
export type OpenLineOf<K extends OpenLine['line']> = Extract<OpenLine, { line: K }>;

export const exportCatalogue = endpoint('exportCatalogue', {
  summary: 'The whole catalogue in the open format: JSON lines.',
  roles: EDITORS,
  response: z.unknown(),
  produces: 'application/x-ndjson',
});

export const exportSheets = endpoint('exportSheets', {
  summary: 'The same as CSV sheets in a zip, one a kind of line.',
  roles: EDITORS,
  response: z.unknown(),
  produces: 'application/zip',
});

export const openCatalogueSchema = endpoint('openCatalogueSchema', {
  summary: 'The JSON Schema that a line of the open format keeps to.',
  roles: EVERYONE,
  response: z.unknown(),
});

/** The published schema. */
export const openCatalogueJsonSchema = (): unknown => z.toJSONSchema(OpenLine, { target: 'draft-2020-12' });
