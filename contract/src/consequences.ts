import { z } from 'zod';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { EngineKey, Id } from './endpoint.ts';

/** What becomes of verdicts, engine by engine; only those that change. */
export const Consequences = z
  .object({
    changes: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        engineId: EngineKey,
        engine: z.string(),
        before: z.enum(VERDICTS),
        after: z.enum(VERDICTS),
        /** Why it is judged so afterwards. */
        reason: z.string(),
      }),
    ),
    /** Verdicts that were looked at, those that stay among them. */
    judged: z.number().int(),
    /** Beyond these it was not looked. */
    isWhole: z.boolean(),
    /** Of a reference: what the dimensions say against it. */
    contradicts: z.string().nullable(),
  })
  .meta({ id: 'Consequences' });
export type Consequences = z.infer<typeof Consequences>;
