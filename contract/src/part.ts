import { z } from 'zod';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { StoredKind } from './part-kind.ts';
import { NAME_KINDS } from './catalogue-file.ts';
import { EngineKey, endpoint, EVERYONE, Id, line, Units } from './endpoint.ts';
import { Succession } from './ask.ts';
import { PlugShape } from './shapes.ts';
import { Source } from './engine.ts';

export const PartCard = z
  .object({
    partId: Id,
    printed: z.string(),
    maker: z.string(),
    kind: StoredKind,
    names: z.array(z.object({ kind: z.string(), printed: z.string() })),
    facts: z.array(
      z.object({
        label: z.string(),
        value: z.string(),
        sources: z.array(Source),
        ruling: z.boolean(),
      }),
    ),
    /** The number read position by position by its maker's scheme; null where the maker has none or it is not of it. */
    decoded: z
      .object({
        scheme: z.string(),
        fields: z.array(
          z.object({
            title: z.string(),
            code: z.string(),
            from: z.number().int(),
            to: z.number().int(),
            says: z.string(),
            known: z.boolean(),
          }),
        ),
        /** What is recorded of the part and contradicts its number. */
        mismatches: z.array(z.object({ field: z.string(), says: z.string() })),
      })
      .nullable(),
    succession: Succession.nullable(),
    references: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        grade: z.enum(REFERENCE_GRADES),
        direction: z.enum(['to', 'from']),
        source: z.string(),
        notedOn: z.string(),
        note: z.string().nullable(),
        /** A reference to come does not count before its day. */
        inForceFrom: z.string().nullable(),
      }),
    ),
    engines: z.array(z.object({ engineId: EngineKey, title: z.string(), how: z.string() })),
    onHand: z.number().int().nullable(),
    bin: z.string().nullable(),
    priceMinor: z.number().int().nullable(),
    shape: PlugShape,
    /** Of what no engine asks for: what it is, and of a kit what is in it. */
    shelf: z
      .object({ title: z.string(), holds: z.array(z.object({ printed: z.string(), quantity: z.number().int() })) })
      .nullable(),
  })
  .meta({ id: 'PartCard' });
export type PartCard = z.infer<typeof PartCard>;

export const getPart = endpoint('getPart', {
  summary: 'One part: its names, figures with sources, references, price and stock.',
  roles: EVERYONE,
  params: z.object({ partId: Id }),
  query: z.object({ units: Units.default('metric') }),
  response: PartCard,
});

export const getPartEngines = endpoint('getPartEngines', {
  summary: 'Engines that references, names or listings lead to from a part, each with the verdict on it.',
  roles: EVERYONE,
  params: z.object({ partId: Id }),
  response: z.object({
    engines: z.array(
      z.object({ engineId: EngineKey, title: z.string(), verdict: z.enum(VERDICTS), reason: z.string() }),
    ),
    /** Engines beyond those judged here. */
    more: z.number().int(),
  }),
});

export const PartGraph = z
  .object({
    partId: Id,
    nodes: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        kind: StoredKind,
        onHand: z.number().int().nullable(),
        /** References walked from the part in the middle. */
        hops: z.number().int(),
        /** For the engine asked about; null where none is, or for what is not judged. */
        verdict: z.enum(VERDICTS).nullable(),
        reason: z.string().nullable(),
      }),
    ),
    edges: z.array(
      z.object({
        edgeId: Id,
        from: Id,
        to: Id,
        grade: z.enum(REFERENCE_GRADES),
        source: z.string(),
        notedOn: z.string(),
        note: z.string().nullable(),
        /** A reference to come does not count before its day. */
        inForceFrom: z.string().nullable(),
        /** Where the dimensions contradict it: by what. */
        contradicts: z.string().nullable(),
      }),
    ),
    /** Parts of the neighbourhood that are not shown. */
    more: z.number().int(),
  })
  .meta({ id: 'PartGraph' });
export type PartGraph = z.infer<typeof PartGraph>;

export const getPartGraph = endpoint('getPartGraph', {
  summary: 'The references around a part, nearest first.',
  roles: EVERYONE,
  params: z.object({ partId: Id }),
  query: z.object({ engine: EngineKey.optional() }),
  response: PartGraph,
});

export const PartFills = z
  .object({
    /** The engine they are judged for; null where none names the number. */
    engine: z.string().nullable(),
    /** Facts in which the parts differ, by their labels, and how many more there are. */
    differIn: z.array(z.string()),
    moreDiffer: z.number().int(),
    parts: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        onHand: z.number().int(),
        priceMinor: z.number().int().nullable(),
        verdict: z.enum(VERDICTS).nullable(),
        reason: z.string().nullable(),
        /** In the order of `differIn`; null where it is not known. */
        values: z.array(z.string().nullable()),
      }),
    ),
  })
  .meta({ id: 'PartFills' });
export type PartFills = z.infer<typeof PartFills>;

export const getPartFills = endpoint('getPartFills', {
  summary: 'The parts that an engine maker’s number is filled with, judged, and what differs between them.',
  roles: EVERYONE,
  params: z.object({ partId: Id }),
  query: z.object({ engine: EngineKey.optional(), units: Units.default('metric') }),
  response: PartFills,
});

/** Rows of a page of numbers. */
export const NUMBERS_A_PAGE = 100;

export const NumberRow = z
  .object({
    nameId: Id,
    /** Where the next page goes on. */
    normal: z.string(),
    partId: Id,
    printed: z.string(),
    /** What the number is of the part: its catalogue number, what is stamped on it, on its box. */
    as: z.enum(NAME_KINDS),
    maker: z.string(),
    kind: StoredKind,
    onHand: z.number().int().nullable(),
    priceMinor: z.number().int().nullable(),
  })
  .meta({ id: 'NumberRow' });
export type NumberRow = z.infer<typeof NumberRow>;

export const listNumbers = endpoint('listNumbers', {
  summary:
    'Numbers of the catalogue in their order, a page at a time: from the letters they begin with, by kind, maker, shelf.',
  roles: EVERYONE,
  query: z.object({
    begins: line(40).default(''),
    kind: StoredKind.optional(),
    maker: line(60).optional(),
    /** Only what is on the shelf. */
    stocked: z.enum(['yes']).optional(),
    afterForm: line(60).optional(),
    afterId: Id.optional(),
  }),
  response: z.object({
    numbers: z.array(NumberRow),
    hasMore: z.boolean(),
    makers: z.array(z.object({ makerId: z.string(), name: z.string() })),
  }),
});
