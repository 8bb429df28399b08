import { z } from 'zod';
import { FACTS, type FactId } from '@brackenfell/core/facts/facts';
import { OPEN_MATTERS } from '@brackenfell/core/slip/open-matters';
import { Id } from './endpoint.ts';

export const FactKey = z.enum(Object.keys(FACTS) as [FactId, ...FactId[]]);

/** One thing that keeps a slip from being collected. */
export const OpenMatter = z
  .object({
    kind: z.enum(OPEN_MATTERS),
    lineId: Id.nullable(),
    says: z.string(),
    /** Facts that settle a question. */
    facts: z.array(FactKey),
    /** One of them is measured or seen at the counter; the others are looked up, or chosen where they stand. */
    answeredHere: z.boolean(),
  })
  .meta({ id: 'OpenMatter' });
export type OpenMatter = z.infer<typeof OpenMatter>;
