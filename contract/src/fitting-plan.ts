import { z } from 'zod';
import { WORK_PHASES } from '@brackenfell/core/fitting-plan/steps';
import { DutyText } from './duty.ts';
import { EngineKey, endpoint, EVERYONE, Id, Units } from './endpoint.ts';

export const FittingPlan = z
  .object({
    engine: z.string(),
    part: z.string(),
    /** Refused here: the one step says what it would do. */
    isRefused: z.boolean(),
    steps: z.array(
      z.object({
        phase: z.enum(WORK_PHASES),
        id: z.string(),
        says: z.string(),
        caution: z.boolean(),
        /** It rests on what is not known: asked before it is done. */
        isQuestion: z.boolean(),
        rule: z.object({ title: z.string(), choice: z.string() }).nullable(),
      }),
    ),
  })
  .meta({ id: 'FittingPlan' });
export type FittingPlan = z.infer<typeof FittingPlan>;

export const getFittingPlan = endpoint('getFittingPlan', {
  summary:
    'How a plug is fitted here: cautions, order of work, tightening, each step under the house rule that chose it.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({ part: Id, units: Units.default('metric'), duty: DutyText.optional(), slip: Id.optional() }),
  response: FittingPlan,
});
