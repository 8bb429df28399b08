import { z } from 'zod';
import { MEASURED_WITH } from '@brackenfell/core/dimensions/dimensions';
import { TERMINALS } from '@brackenfell/core/facts/plug-facts';
import { EngineKey, endpoint, EVERYONE, Id, Units } from './endpoint.ts';

const lengthMm = z.coerce.number().min(1).max(100).optional();
export const AskedDimensions = z.object({
  threadMm: lengthMm,
  reachMm: lengthMm,
  hexMm: lengthMm,
  seat: z.enum(['gasket', 'taper']).optional(),
  terminal: z.enum(TERMINALS).optional(),
  how: z.enum(MEASURED_WITH).default('tape'),
});
export type AskedDimensions = z.infer<typeof AskedDimensions>;

export const MeasuredMatches = z
  .object({
    parts: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        /** Thread, reach, seat, hex and terminal as its maker states them. */
        says: z.string(),
        onHand: z.number().int(),
        priceMinor: z.number().int().nullable(),
      }),
    ),
    partCount: z.number().int(),
    engines: z.array(z.object({ engineId: EngineKey, title: z.string(), summary: z.string(), says: z.string() })),
    engineCount: z.number().int(),
  })
  .meta({ id: 'MeasuredMatches' });
export type MeasuredMatches = z.infer<typeof MeasuredMatches>;

export const searchByDimension = endpoint('searchByDimension', {
  summary: 'Plugs, and engines, of the thread, reach, seat, hex and terminal somebody measured; nearest first.',
  roles: EVERYONE,
  query: AskedDimensions.extend({ units: Units.default('metric') }),
  response: MeasuredMatches,
});
