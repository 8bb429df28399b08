import { z } from 'zod';
import { Day, Month } from './calendar.ts';
import {
  RECORDED_FACT_IDS,
  RECORDED_SHAPES,
  SOURCE_RANKS,
  type RecordedFactId,
  type RecordedValue,
} from '@brackenfell/core/facts/facts';
import { makersInstruction } from '@brackenfell/core/facts/makers-instruction';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { LAYOUTS, LEADS_GO } from '@brackenfell/core/identification/traits';
import { isHotToCold } from '@brackenfell/core/heat-range/heat-scale';
import { isSchool } from '@brackenfell/core/house-rules/house-rules';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { SUNDRY_USE } from '@brackenfell/core/kit/sundries';
import { EngineKey } from './endpoint.ts';
import { EngineNote, EnginePlan } from './engine-plan.ts';

/** Of a maker's instruction a file must name a house rule and a school that there are. */
const instructs = makersInstruction.refine(({ rule, school }) => isSchool(rule, school), 'no such school of that rule');
/** What is recorded of a fact. */
export const shapeOf = (id: RecordedFactId): z.ZodType => (id.endsWith('.instructs') ? instructs : RECORDED_SHAPES[id]);
const factsOf = (prefix: string) =>
  z.strictObject(
    Object.fromEntries(
      RECORDED_FACT_IDS.filter((id) => id.startsWith(prefix)).map((id) => [id, shapeOf(id).optional()]),
    ),
  );

type FactsOf<P extends string> = {
  [K in RecordedFactId as K extends `${P}${string}` ? K : never]?: RecordedValue<K>;
};
export type PlugFacts = FactsOf<'plug.'>;
export type PositionFacts = FactsOf<'position.'>;
export type CoilFacts = FactsOf<'coil.'>;
export type LeadSetFacts = FactsOf<'leads.'>;
export type CapFacts = FactsOf<'cap.'>;
export type RotorFacts = FactsOf<'rotor.'>;
export type AskedFacts = FactsOf<'coilAsked.'> & FactsOf<'leadsAsked.'> & FactsOf<'capAsked.'> & FactsOf<'rotorAsked.'>;
const PlugFacts = factsOf('plug.') as unknown as z.ZodType<PlugFacts>;
const PositionFacts = factsOf('position.') as unknown as z.ZodType<PositionFacts>;

const Source = z.object({ rank: z.enum(SOURCE_RANKS), name: z.string().min(1) });

/** A figure besides the main source's: another source, a gauging, hearsay. */
const ExtraFigures = z.array(
  z.object({
    source: Source,
    readings: z.number().int().positive().optional(),
    facts: z.union([PlugFacts, PositionFacts]),
  }),
);

const OTHER_KINDS = PART_KINDS.filter((kind) => kind !== 'plug');
const PART_FACTS = {
  coil: factsOf('coil.') as unknown as z.ZodType<CoilFacts, CoilFacts>,
  'lead-set': factsOf('leads.') as unknown as z.ZodType<LeadSetFacts, LeadSetFacts>,
  cap: factsOf('cap.') as unknown as z.ZodType<CapFacts, CapFacts>,
  rotor: factsOf('rotor.') as unknown as z.ZodType<RotorFacts, RotorFacts>,
} as const;
const ASKED_FACTS = {
  coil: factsOf('coilAsked.') as unknown as z.ZodType<AskedFacts, AskedFacts>,
  'lead-set': factsOf('leadsAsked.') as unknown as z.ZodType<AskedFacts, AskedFacts>,
  cap: factsOf('capAsked.') as unknown as z.ZodType<AskedFacts, AskedFacts>,
  rotor: factsOf('rotorAsked.') as unknown as z.ZodType<AskedFacts, AskedFacts>,
} as const;

export const NAME_KINDS = ['catalogue', 'stamping', 'stock', 'barcode', 'oe', 'box'] as const;

const partEntry = {
  maker: z.string(),
  number: z.string().min(2),
  names: z.array(z.object({ kind: z.enum(NAME_KINDS), printed: z.string() })).default([]),
  source: Source.optional(),
  extra: ExtraFigures.default([]),
  onHand: z.number().int().optional(),
  bin: z.string().optional(),
  priceMinor: z.number().int().positive().optional(),
  /** Sold only in packs of so many. */
  packOf: z.number().int().min(1).max(100).optional(),
};
const PlugEntry = z.object({ ...partEntry, facts: PlugFacts });
export type PlugEntry = z.input<typeof PlugEntry>;

/** A coil, lead set, cap or rotor. */
const OtherPartEntry = z.discriminatedUnion('kind', [
  z.object({ ...partEntry, kind: z.literal('coil'), facts: PART_FACTS.coil }),
  z.object({ ...partEntry, kind: z.literal('lead-set'), facts: PART_FACTS['lead-set'] }),
  z.object({ ...partEntry, kind: z.literal('cap'), facts: PART_FACTS.cap }),
  z.object({ ...partEntry, kind: z.literal('rotor'), facts: PART_FACTS.rotor }),
]);
export type OtherPartEntry = z.input<typeof OtherPartEntry>;

/** A thing of the shop that no engine asks for: a socket, a tube of grease. */
const SundryEntry = z.object({
  maker: partEntry.maker,
  number: partEntry.number,
  title: z.string().min(2).max(80),
  use: z.string().regex(SUNDRY_USE).max(40),
  onHand: partEntry.onHand,
  bin: partEntry.bin,
  priceMinor: partEntry.priceMinor,
});
export type SundryEntry = z.input<typeof SundryEntry>;
/** Parts that are put down together under one number. */
const KitEntry = z.object({
  maker: partEntry.maker,
  number: partEntry.number,
  holds: z.array(z.object({ number: z.string(), quantity: z.number().int().min(1).max(99) })).min(1),
});
export type KitEntry = z.input<typeof KitEntry>;

const oeNumbers = z.array(z.object({ number: z.string(), place: z.string().optional(), note: z.string().optional() }));

/** What the engine asks of a part besides its plugs: a coil on each of some cylinders, one pack, a set of leads. */
const Need = z
  .object({
    kind: z.enum(OTHER_KINDS),
    /** Told apart where an engine needs several of a kind: front bank, rear bank. Its parts are named for it. */
    place: z.string(),
    /** One part for each of these; one part in all where left out. */
    cylinders: z.array(z.number().int().positive()).min(1).optional(),
    /** Only in this build of the engine, by its label. */
    build: z.string().optional(),
    facts: z.record(z.string(), z.unknown()),
    oeNumbers: oeNumbers.default([]),
  })
  .superRefine(({ kind, facts }, issues) => {
    const read = ASKED_FACTS[kind].safeParse(facts);
    if (!read.success)
      for (const issue of read.error.issues)
        issues.addIssue({ code: 'custom', path: ['facts', ...issue.path], message: issue.message });
  });
export type NeedEntry = Omit<z.input<typeof Need>, 'facts'> & { facts: AskedFacts };

/** What tells the engine apart at the counter, the vehicle or the bench; a trait left out is not known. */
export const EngineTraits = z.strictObject({
  litres: z.number().positive().optional(),
  fuel: z.enum(['petrol', 'gas']).optional(),
  layout: z.enum(LAYOUTS).optional(),
  leadsGo: z.enum(LEADS_GO).optional(),
  plugsPerCylinder: z.number().int().positive().optional(),
  boosted: z.boolean().optional(),
  cooling: z.enum(['air', 'water']).optional(),
  coilPins: z.number().int().positive().optional(),
  coilBoot: z.enum(['straight', 'stepped']).optional(),
  chargeCooler: z.boolean().optional(),
  carburettor: z.boolean().optional(),
});

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
  traits: EngineTraits.default({}),
  builds: z
    .array(
      z.object({
        label: z.string(),
        from: Month.optional(),
        to: Month.optional(),
        /** Where it was changed by serial number. */
        fromSerial: z.number().int().positive().optional(),
        toSerial: z.number().int().positive().optional(),
        traits: EngineTraits,
      }),
    )
    .default([]),
  oeNumbers: oeNumbers.min(1),
  needs: z.array(Need).default([]),
  notes: z.array(EngineNote).default([]),
  plan: EnginePlan.optional(),
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
  notedOn: Day,
  note: z.string().optional(),
  /** For which engines a successor stands, where a number is replaced by several. */
  condition: z.string().optional(),
  engines: z.array(EngineKey).optional(),
  /** A reference told for a day to come counts from that day on. */
  inForceFrom: Day.optional(),
});
export type ReferenceEntry = z.input<typeof ReferenceEntry>;

const ListingEntry = z.object({
  number: z.string(),
  engineId: EngineKey,
  place: z.string().optional(),
  source: z.string(),
  statedOn: Day,
  builtFrom: Month.optional(),
  builtTo: Month.optional(),
});
export type ListingEntry = z.input<typeof ListingEntry>;

/** Ratings of a heat scale, each colder than the one before and called differently. */
export const HOT_TO_COLD = [
  (ratings: readonly { readonly code: string; readonly indexBar: number }[]) => isHotToCold(ratings),
  'ratings run from hot to cold, each with a code of its own',
] as const;

const DecodedFact = z.object({
  fact: z.enum(RECORDED_FACT_IDS),
  low: z.number().optional(),
  high: z.number().optional(),
  code: z.string().optional(),
});

/** A maker's numbering scheme: its fields in order, read on the normal form. */
export const NumberGrammar = z.object({
  maker: z.string(),
  title: z.string(),
  significant: z.string().default(''),
  fields: z
    .array(
      z
        .object({
          id: z.string(),
          title: z.string(),
          of: z.enum(['letters', 'digits']),
          /** Characters it has at least and at most. */
          least: z.number().int().min(0).max(20),
          most: z.number().int().min(1).max(20),
          means: z.discriminatedUnion('kind', [
            z.object({ kind: z.literal('constant'), text: z.string().min(1), says: z.string() }),
            z.object({
              kind: z.literal('codes'),
              codes: z.record(z.string(), z.object({ says: z.string(), facts: z.array(DecodedFact).optional() })),
            }),
            z.object({
              kind: z.literal('cut-off'),
              fact: z.enum(RECORDED_FACT_IDS),
              unitMm: z.number().positive(),
              says: z.string(),
            }),
            z.object({ kind: z.literal('rating'), maker: z.string() }),
            z.object({ kind: z.literal('count'), fact: z.enum(RECORDED_FACT_IDS), says: z.string() }),
          ]),
        })
        .refine(({ least, most }) => least <= most, { path: ['most'], message: 'at most no fewer than at least' }),
    )
    .min(1),
});
export type NumberGrammarEntry = z.input<typeof NumberGrammar>;

/** The open catalogue file: everything a catalogue holds, numbers as printed. Checked whole before anything is written. */
export const CatalogueFile = z.object({
  makers: z.array(z.object({ id: z.string(), name: z.string() })),
  heatScales: z.array(
    z.object({
      maker: z.string(),
      /** From hot to cold. */
      ratings: z
        .array(z.object({ code: z.string(), indexBar: z.number().positive() }))
        .min(2)
        .refine(...HOT_TO_COLD),
    }),
  ),
  grammars: z.array(NumberGrammar).default([]),
  engines: z.array(EngineEntry),
  plugs: z.array(PlugEntry),
  parts: z.array(OtherPartEntry).default([]),
  sundries: z.array(SundryEntry).default([]),
  kits: z.array(KitEntry).default([]),
  /** Numbers that a sanctioned class permits, as printed, while a list is in force. */
  classLists: z
    .array(
      z.object({
        className: z.string(),
        from: Day,
        to: Day.optional(),
        numbers: z.array(z.string()),
        source: z.string(),
      }),
    )
    .default([]),
  references: z.array(ReferenceEntry),
  listings: z.array(ListingEntry),
});
export type CatalogueFile = z.output<typeof CatalogueFile>;
