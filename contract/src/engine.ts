import { z } from 'zod';
import { SOURCE_RANKS } from '@brackenfell/core/facts/facts';
import { LEADS_GO } from '@brackenfell/core/identification/traits';
import { EnginePlan, NOTES_ABOUT } from './engine-plan.ts';
import { PartKind } from './part-kind.ts';
import { EngineKey, endpoint, EVERYONE, Id, line, Units } from './endpoint.ts';

export const Source = z.object({ rank: z.enum(SOURCE_RANKS), name: z.string() }).meta({ id: 'Source' });

export const EngineLine = z
  .object({
    engineId: EngineKey,
    maker: z.string(),
    code: z.string(),
    summary: z.string(),
    layout: z.string(),
    cylinders: z.number().int(),
    thread: z.string(),
    reach: z.string(),
    seat: z.string(),
    gap: z.string(),
    vehicles: z.array(z.object({ vehicleId: Id, title: z.string(), years: z.string() })),
  })
  .meta({ id: 'EngineLine' });
export type EngineLine = z.infer<typeof EngineLine>;

export const listEngines = endpoint('listEngines', {
  summary: 'The engines of the catalogue, those that answer to the words first narrowed by them.',
  roles: EVERYONE,
  query: z.object({ words: line(120).trim().optional(), units: Units.default('metric') }),
  response: z.object({ engines: z.array(EngineLine), total: z.number().int() }),
});

/** One line of the engine card: what is asked, in words, with the source of the figure. */
export const RequirementLine = z
  .object({
    label: z.string(),
    value: z.string(),
    /** Where one line holds several figures: each with what it is of. */
    rows: z.array(z.object({ of: z.string(), value: z.string() })).optional(),
    sources: z.array(Source),
    /** Positions it differs at; empty when it is the same everywhere. */
    at: z.array(z.string()),
    isFigure: z.boolean(),
    /** Set when the figure is not known: the question that obtains it. */
    question: z.string().nullable(),
    group: z.enum(['hole', 'spark', 'rules', 'form', 'windings']),
  })
  .meta({ id: 'RequirementLine' });
export type RequirementLine = z.infer<typeof RequirementLine>;

export const EngineCard = z
  .object({
    engineId: EngineKey,
    maker: z.string(),
    code: z.string(),
    summary: z.string(),
    cylinders: z.number().int(),
    positions: z.array(z.object({ positionId: Id, label: z.string() })),
    plan: EnginePlan.nullable(),
    /** Every plug once; a place where a cylinder has more than one. */
    seats: z.array(z.object({ cylinder: z.number().int(), place: z.string().optional() })),
    /** What reading its old parts goes by; null where nobody has entered it. The gap limit is the widest it asks anywhere. */
    hasChargeCooler: z.boolean().nullable(),
    hasCarburettor: z.boolean().nullable(),
    hasBattery: z.boolean().nullable(),
    gapLimitMm: z.number().nullable(),
    /** How the spark comes to the plugs; null while that is not known. */
    sparkBy: z.enum(LEADS_GO).nullable(),
    /** What it needs besides plugs, with what is asked of each and the numbers its maker names. */
    needs: z.array(
      z.object({
        kind: PartKind,
        quantity: z.number().int(),
        requirement: z.array(RequirementLine),
        oeNumbers: z.array(z.object({ partId: Id, printed: z.string(), note: z.string().nullable() })),
      }),
    ),
    cautions: z.array(z.string()),
    /** How to get there, what else is tightened, what breaks. */
    notes: z.array(z.object({ about: z.enum(NOTES_ABOUT), says: z.string(), torque: z.string().nullable() })),
    requirement: z.array(RequirementLine),
    oeNumbers: z.array(z.object({ partId: Id, printed: z.string(), note: z.string().nullable() })),
    vehicles: z.array(z.object({ vehicleId: Id, title: z.string(), years: z.string() })),
  })
  .meta({ id: 'EngineCard' });
export type EngineCard = z.infer<typeof EngineCard>;

export const getEngine = endpoint('getEngine', {
  summary: 'What an engine asks, position by position, with the source of every figure.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({ units: Units.default('metric') }),
  response: EngineCard,
});
