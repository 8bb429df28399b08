import { z } from 'zod';
import { month } from './fact-shapes.ts';

export const TORQUE_CONDITIONS = ['dry', 'with-compound', 'not-stated'] as const;
export type TorqueCondition = (typeof TORQUE_CONDITIONS)[number];
export const CONDITION_WORDS: Readonly<Record<TorqueCondition, string>> = {
  dry: 'dry',
  'with-compound': 'with compound',
  'not-stated': 'dry or not is not said',
};

const nm = z.number().min(2).max(150);

/**
 * A torque as one sheet of a maker prints it, N·m; `nominalNm` where it prints a figure with its tolerance, `dated` the month of
 * the sheet. Only a dry one is ever cut for compound. Torque: Settling sources.
 */
export const torqueStatement = z
  .object({
    lowNm: nm,
    highNm: nm,
    nominalNm: nm.optional(),
    condition: z.enum(TORQUE_CONDITIONS),
    dated: month.optional(),
  })
  .refine((t) => t.lowNm <= t.highNm, 'low must not exceed high')
  .readonly();
export type TorqueStatement = z.infer<typeof torqueStatement>;

/** From where an angle counts, and on which gasket. Torque: Turns. */
export const TURN_STARTS = ['seat-contact', 'fingers'] as const;
export const TURN_GASKETS = ['new', 'used', 'none'] as const;

const turns = z.number().positive().max(2);
export const turnStatement = z
  .object({ lowTurns: turns, highTurns: turns, from: z.enum(TURN_STARTS), gasket: z.enum(TURN_GASKETS) })
  .refine((t) => t.lowTurns <= t.highTurns, 'low must not exceed high')
  .readonly();
export type TurnStatement = z.infer<typeof turnStatement>;
