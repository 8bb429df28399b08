import { z } from 'zod';
import { SOURCE_RANKS } from '@brackenfell/core/fitment/facts';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { EngineKey } from './endpoint.ts';
import { RECORDED_FACTS, type RecordedFactId } from './fact-values.ts';

const ids = Object.keys(RECORDED_FACTS) as RecordedFactId[];
const idsOf = (prefix: string) => ids.filter((id) => id.startsWith(prefix));
const factsOf = (prefix: string) =>
  z.strictObject(Object.fromEntries(idsOf(prefix).map((id) => [id, RECORDED_FACTS[id].optional()])));

type FactsOf<P extends string> = {
  [K in RecordedFactId as K extends `${P}${string}` ? K : never]?: z.infer<(typeof RECORDED_FACTS)[K]>;
};
export type PlugFacts = FactsOf<'plug.'>;
export type PositionFacts = FactsOf<'position.'>;
const PlugFacts = factsOf('plug.') as unknown as z.ZodType<PlugFacts>;
const PositionFacts = factsOf('position.') as unknown as z.ZodType<PositionFacts>;

const month = z.string().regex(/^\d{4}-\d{2}$/);
const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/);
const Source = z.object({ rank: z.enum(SOURCE_RANKS), name: z.string().min(1) });

/** A figure besides the main source's: another source, a gauging, hearsay. */
const ExtraFigures = z.array(
  z.object({
    source: Source,
    readings: z.number().int().positive().optional(),
    facts: z.union([PlugFacts, PositionFacts]),
  }),
);

export const NAME_KINDS = ['catalogue', 'stamping', 'stock', 'barcode', 'oe', 'box'] as const;

const PlugEntry = z.object({
  maker: z.string(),
  number: z.string().min(2),
  names: z.array(z.object({ kind: z.enum(NAME_KINDS), printed: z.string() })).default([]),
  facts: PlugFacts,
  source: Source.optional(),
  extra: ExtraFigures.default([]),
  onHand: z.number().int().optional(),
  bin: z.string().optional(),
  priceMinor: z.number().int().positive().optional(),
});
export type PlugEntry = z.input<typeof PlugEntry>;

const EngineEntry = z.object({
  id: EngineKey,
  maker: z.string(),
  code: z.string(),
  summary: z.string(),
  layout: z.string(),
  visits: z.number().int().nonnegative(),
  cautions: z.array(z.string()),
  source: Source,
  positions: z
    .array(z.object({ cylinder: z.number().int().positive(), place: z.string().default('plug'), facts: PositionFacts }))
    .min(1),
  facts: PositionFacts,
  extra: ExtraFigures.default([]),
  oeNumbers: z
    .array(z.object({ number: z.string(), place: z.string().optional(), note: z.string().optional() }))
    .min(1),
  vehicles: z.array(
    z.object({ make: z.string(), model: z.string(), from: z.number().int(), to: z.number().int().optional() }),
  ),
});
export type EngineEntry = z.input<typeof EngineEntry>;

const ReferenceEntry = z.object({
  from: z.string(),
  to: z.string(),
  grade: z.enum(REFERENCE_GRADES),
  source: z.string(),
  notedOn: day,
  note: z.string().optional(),
});
export type ReferenceEntry = z.input<typeof ReferenceEntry>;

const ListingEntry = z.object({
  number: z.string(),
  engineId: EngineKey,
  place: z.string().optional(),
  source: z.string(),
  statedOn: day,
  builtFrom: month.optional(),
  builtTo: month.optional(),
});
export type ListingEntry = z.input<typeof ListingEntry>;

/** The open catalogue file: everything a catalogue holds, numbers as printed. Checked whole before anything is written. */
export const CatalogueFile = z.object({
  makers: z.array(z.object({ id: z.string(), name: z.string() })),
  heatScales: z.array(
    z
      .object({
        maker: z.string(),
        /** From hot to cold. */
        ratings: z.array(z.object({ code: z.string(), indexBar: z.number().positive() })).min(2),
      })
      .refine(
        (s) => s.ratings.every((r, i) => i === 0 || r.indexBar > s.ratings[i - 1]!.indexBar),
        'ratings must run from hot to cold',
      ),
  ),
  engines: z.array(EngineEntry),
  plugs: z.array(PlugEntry),
  references: z.array(ReferenceEntry),
  listings: z.array(ListingEntry),
});
export type CatalogueFile = z.output<typeof CatalogueFile>;
