import { z } from 'zod';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { DutyText } from './duty.ts';
import { EngineKey, endpoint, EVERYONE, Id, line, Units } from './endpoint.ts';

const KINDS = ['plug', 'coil'] as const;
const FittedPart = z.object({ partId: Id, printed: z.string(), maker: z.string() });

export const FittedSet = z
  .object({
    kind: z.enum(KINDS),
    positions: z.array(
      z.object({
        label: z.string(),
        cylinder: z.number().int(),
        typed: z.string(),
        part: FittedPart.nullable(),
        verdict: z.enum(VERDICTS).nullable(),
        reason: z.string(),
        odd: z.boolean(),
      }),
    ),
    usual: FittedPart.nullable(),
    odd: z.array(z.string()),
    missing: z.array(z.string()),
    says: z.string(),
    /** Facts in which the strangers differ from the usual one. */
    differences: z.array(z.object({ fact: z.string(), usual: z.string(), other: z.string(), printed: z.string() })),
    /** What would make the set whole. */
    repair: z
      .object({ part: FittedPart, quantity: z.number().int(), at: z.array(z.string()), says: z.string() })
      .nullable(),
  })
  .meta({ id: 'FittedSet' });
export type FittedSet = z.infer<typeof FittedSet>;

/** Stands between the numbers of the positions, in their order. */
export const BETWEEN_NUMBERS = '|';

export const getFittedSet = endpoint('getFittedSet', {
  summary:
    'Judges what is fitted place by place: which part is the stranger, what comes of it, what makes the set whole.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({
    kind: z.enum(KINDS).default('plug'),
    /** What is printed on the part in each place, in their order, with bars between; empty where not looked at. */
    numbers: line(1200).default(''),
    units: Units.default('metric'),
    duty: DutyText.optional(),
    build: line(60).optional(),
  }),
  response: FittedSet,
});
