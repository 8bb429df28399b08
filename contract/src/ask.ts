import { z } from 'zod';
import { EngineKey, endpoint, EVERYONE, Id, line } from './endpoint.ts';

const LONGEST_QUESTION = 120;

/** How a number was found, worst readings last. */
export const MATCH_STAGES = ['exact', 'fold', 'prefix'] as const;

export const PartAnswer = z
  .object({
    partId: Id,
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
    isOeNumber: z.boolean(),
    onHand: z.number().int().nullable(),
    priceMinor: z.number().int().nullable(),
    replacedBy: z.string().nullable(),
  })
  .meta({ id: 'PartAnswer' });
export type PartAnswer = z.infer<typeof PartAnswer>;

export const EngineAnswer = z
  .object({ engineId: EngineKey, title: z.string(), summary: z.string(), how: z.string() })
  .meta({ id: 'EngineAnswer' });
export type EngineAnswer = z.infer<typeof EngineAnswer>;

export const VehicleAnswer = z
  .object({ vehicleId: Id, engineId: EngineKey, title: z.string(), engine: z.string(), years: z.string() })
  .meta({ id: 'VehicleAnswer' });
export type VehicleAnswer = z.infer<typeof VehicleAnswer>;

export const ask = endpoint({
  method: 'GET',
  path: '/api/ask',
  summary: 'One question to everything: part numbers, stampings, barcodes, engines, vehicles.',
  roles: EVERYONE,
  query: z.object({ q: line(LONGEST_QUESTION).trim().min(1) }),
  response: z.object({
    parts: z.array(PartAnswer),
    engines: z.array(EngineAnswer),
    vehicles: z.array(VehicleAnswer),
    slips: z.array(z.object({ slipId: Id, docket: z.number().int(), title: z.string() })),
    /** Something to say about the question itself, such as a wrong check digit. */
    remark: z.string().nullable(),
  }),
});
export type AskAnswer = z.infer<(typeof ask)['response']>;
