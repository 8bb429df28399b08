import { z } from 'zod';
import { MATCH_STAGES } from '@brackenfell/core/part-numbers/match-name';
import { AskedDimensions } from './dimensions.ts';
import { StoredKind } from './part-kind.ts';
import { BATCH_STATES } from '@brackenfell/core/authenticity/batch-states';
import { EngineKey, endpoint, EVERYONE, Id, line, Units } from './endpoint.ts';

const LONGEST_QUESTION = 120;

/** Where an old number leads today, or what keeps it from leading anywhere. */
export const Succession = z
  .object({
    kind: z.enum(['replaced', 'split', 'loop', 'dangling']),
    says: z.string(),
    to: z.array(z.object({ partId: Id, printed: z.string(), condition: z.string().nullable() })),
  })
  .meta({ id: 'Succession' });
export type Succession = z.infer<typeof Succession>;

export const PartAnswer = z
  .object({
    partId: Id,
    kind: StoredKind,
    /** The part's own number; differs from `printed` when another of its names was asked for. */
    number: z.string(),
    /** The name that answered. */
    printed: z.string(),
    maker: z.string(),
    nameKind: z.string(),
    stage: z.enum(MATCH_STAGES),
    /** In words: "read G as 6". Empty for an exact match. */
    how: z.string(),
    /** Places in `printed` that were read as something else. */
    differs: z.array(z.number().int()),
    /** Number of parts that share this very name. */
    sharedBy: z.number().int(),
    /** Whether its thread, reach and seat suit the engine on the slip; null when no engine was given or it is not known. */
    suitsEngine: z.boolean().nullable(),
    onHand: z.number().int().nullable(),
    priceMinor: z.number().int().nullable(),
    succession: Succession.nullable(),
  })
  .meta({ id: 'PartAnswer' });
export type PartAnswer = z.infer<typeof PartAnswer>;

export const EngineAnswer = z
  .object({ engineId: EngineKey, title: z.string(), summary: z.string() })
  .meta({ id: 'EngineAnswer' });
export type EngineAnswer = z.infer<typeof EngineAnswer>;

export const VehicleAnswer = z
  .object({ vehicleId: Id, engineId: EngineKey, title: z.string(), engine: z.string(), years: z.string() })
  .meta({ id: 'VehicleAnswer' });
export type VehicleAnswer = z.infer<typeof VehicleAnswer>;

export const ask = endpoint('ask', {
  summary:
    'One question to everything: part numbers, stampings, barcodes, engines, vehicles, slips, batches, measurements.',
  roles: EVERYONE,
  followsTyping: true,
  query: z.object({
    q: line(LONGEST_QUESTION).trim().min(1),
    /** Suggestions while somebody types: numbers as written, worn or unfinished, without slips and slips of the finger. */
    quick: z.enum(['yes', 'no']).default('no'),
    /** The engine on the slip: parts that suit it come first among readings that are only near. */
    engine: EngineKey.optional(),
    /** The reader's: a bare figure is read in their system. */
    units: Units.default('metric'),
  }),
  response: z.object({
    parts: z.array(PartAnswer),
    /** Whether numbers that are merely alike are worth asking for: nothing here is near enough. */
    hasAlike: z.boolean(),
    engines: z.array(EngineAnswer),
    vehicles: z.array(VehicleAnswer),
    /** Vehicles and machines of the garage book. */
    garage: z.array(z.object({ vehicleId: Id, called: z.string(), plate: z.string(), customer: z.string() })),
    slips: z.array(z.object({ slipId: Id, docket: z.number().int(), title: z.string() })),
    /** Batches under this very code. */
    batches: z.array(
      z.object({ batchId: Id, code: z.string(), printed: z.string(), seller: z.string(), state: z.enum(BATCH_STATES) }),
    ),
    /** The question read as a measurement, in every usual unit. */
    measures: z.array(z.object({ of: z.string(), says: z.string() })),
    /** A part that was measured: what is searched for by dimension. */
    measured: AskedDimensions.nullable(),
    /** The maker whose name stood in the question, so that only its numbers answered. */
    onlyOf: z.array(z.string()),
    /** Something to say about the question itself, such as a wrong check digit. */
    remark: z.string().nullable(),
  }),
});
export type AskAnswer = z.infer<(typeof ask)['response']>;

export const askAlike = endpoint('askAlike', {
  summary:
    'Numbers that are merely alike, the most alike first: asked for once an answer says that nothing nearer was found.',
  roles: EVERYONE,
  followsTyping: true,
  query: z.object({ q: line(LONGEST_QUESTION).trim().min(1), engine: EngineKey.optional() }),
  response: z.object({ parts: z.array(PartAnswer) }),
});
export type AlikeAnswer = z.infer<(typeof askAlike)['response']>;
