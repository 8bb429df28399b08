import { z } from 'zod';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { EngineKey, endpoint, EVERYONE, Id, Units } from './endpoint.ts';
import { PlugShape } from './tray.ts';
import { Source } from './engine.ts';

export const PartCard = z
  .object({
    partId: Id,
    printed: z.string(),
    maker: z.string(),
    isOeNumber: z.boolean(),
    names: z.array(z.object({ kind: z.string(), printed: z.string() })),
    facts: z.array(
      z.object({
        label: z.string(),
        value: z.string(),
        sources: z.array(Source),
        ruling: z.boolean(),
      }),
    ),
    references: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        grade: z.enum(REFERENCE_GRADES),
        direction: z.enum(['to', 'from']),
        source: z.string(),
      }),
    ),
    engines: z.array(z.object({ engineId: EngineKey, title: z.string(), how: z.string() })),
    onHand: z.number().int().nullable(),
    bin: z.string().nullable(),
    priceMinor: z.number().int().nullable(),
    shape: PlugShape,
  })
  .meta({ id: 'PartCard' });
export type PartCard = z.infer<typeof PartCard>;

export const getPart = endpoint({
  method: 'GET',
  path: '/api/parts/:partId',
  summary: 'One part: its names, figures with sources, references, price and stock.',
  roles: EVERYONE,
  params: z.object({ partId: Id }),
  query: z.object({ units: Units.default('metric') }),
  response: PartCard,
});
