import { z } from 'zod';
import {
  GROUND_FORMS,
  MATERIALS,
  SEATS,
  SHELLS,
  SUPPLY_STATES,
  TERMINALS,
  type FactId,
} from '@brackenfell/core/fitment/facts';

const mm = z.number().positive().max(200);
const span = z
  .object({ low: z.number().positive(), high: z.number().positive() })
  .refine((s) => s.low <= s.high, 'low must not exceed high');
const askedHeat = z.object({ maker: z.string(), codes: z.array(z.string()).min(1) });

/** What a recorded value of each fact looks like in files and in the database. Heat is recorded by maker and code. */
export const RECORDED_FACTS = {
  'plug.threadDiameterMm': mm,
  'plug.threadPitchMm': mm,
  'plug.reachMm': mm,
  'plug.threadedLengthMm': mm,
  'plug.seat': z.enum(SEATS),
  'plug.hexMm': mm,
  'plug.hexPoints': z.union([z.literal(6), z.literal(12)]),
  'plug.lengthMm': mm,
  'plug.terminal': z.enum(TERMINALS),
  'plug.nutCanBeFitted': z.boolean(),
  'plug.resistor': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('none') }),
    z.object({ kind: z.literal('present') }),
    z.object({ kind: z.literal('value'), kohm: z.number().positive() }),
  ]),
  'plug.centreMaterial': z.enum(MATERIALS),
  'plug.groundMaterial': z.enum(MATERIALS),
  'plug.groundCount': z.number().int().min(1).max(4),
  'plug.groundForm': z.enum(GROUND_FORMS),
  'plug.groundThicknessMm': mm,
  'plug.projectionMm': z.number().min(-2).max(10),
  'plug.gapMm': mm,
  'plug.gapToleranceMm': mm,
  'plug.gapAdjust': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('fixed') }),
    z.object({ kind: z.literal('limit'), mm: z.number().positive() }),
  ]),
  'plug.heat': z.object({ maker: z.string(), code: z.string() }),
  'plug.shell': z.enum(SHELLS),
  'plug.lifeKm': z.number().positive(),
  'plug.supply': z.object({ state: z.enum(SUPPLY_STATES), successor: z.string().optional() }),
  'position.threadDiameterMm': mm,
  'position.threadPitchMm': mm,
  'position.reachMm': span,
  'position.headThreadMm': mm,
  'position.seat': z.enum(['gasket', 'taper']),
  'position.hexMm': mm,
  'position.hexPoints': z.union([z.literal(6), z.literal(12)]),
  'position.wellBoreMm': z.union([mm, z.literal('open')]),
  'position.lengthMm': span,
  'position.lengthLimitMm': mm,
  'position.terminal': z.enum(['solid', 'stud', 'cup']),
  'position.resistor': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('range'), low: z.number().positive(), high: z.number().positive() }),
    z.object({ kind: z.literal('none-asked') }),
    z.object({ kind: z.literal('forbidden') }),
  ]),
  'position.centreDesign': z.enum(MATERIALS),
  'position.groundDesign': z.enum(MATERIALS),
  'position.electrodeBan': z.enum(['nothing', 'poorer', 'better', 'any-other']),
  'position.singlePreciousBan': z.boolean(),
  'position.polarity': z.enum(['forward', 'reverse']),
  'position.groundCount': z.number().int().min(1).max(4),
  'position.groundForm': z.enum(GROUND_FORMS),
  'position.gapMm': span,
  'position.oeDepthMm': mm,
  'position.crownMm': mm,
  'position.heat': askedHeat,
  'position.aspiration': z.enum(['natural', 'forced']),
  'position.fuel': z.enum(['petrol', 'gas']),
  'position.shellFitted': z.enum(SHELLS),
  'position.seizesTwoPiece': z.boolean(),
  'position.intervalKm': z.number().positive(),
} as const satisfies Partial<Record<FactId, z.ZodType>>;

/** Facts that are recorded in a catalogue; the rest are printed names, house rules and duties. */
export type RecordedFactId = keyof typeof RECORDED_FACTS;
export type RecordedValue<K extends RecordedFactId> = z.infer<(typeof RECORDED_FACTS)[K]>;
