import { z } from 'zod';
import { SOURCE_RANKS } from '../facts/facts.ts';
import { span } from '../facts/fact-shapes.ts';
import { TORQUE_CONDITIONS } from '../facts/torque-statements.ts';

/** What is to be set, and who says so; told with a judgement and kept as told. Gaps in mm, torques in N·m. */
export const setUpFigures = z.object({
  /** Labels of the places it holds for. */
  at: z.array(z.string()),
  gap: z.object({
    /** Null where nobody says. */
    range: span.nullable(),
    source: z.string().nullable(),
    rank: z.enum(SOURCE_RANKS).nullable(),
    /** What would fill it, where nobody says. */
    wants: z.string().nullable(),
    /** Others of the same rank that say otherwise. */
    against: z.array(z.object({ range: span, source: z.string() })),
    deliveredMm: z.number().nullable(),
    toleranceMm: z.number(),
    isToleranceAssumed: z.boolean(),
    /** Most it may be changed; null: never, `unknown`: nobody says. */
    limitMm: z.union([z.number(), z.null(), z.literal('unknown')]),
    preGapped: z.enum(['verify', 'sample', 'trust']),
  }),
  tightening: z.object({
    method: z.enum(['wrench', 'no-wrench-reaches', 'by-angle-here']),
    torque: z
      .object({
        lowNm: z.number(),
        highNm: z.number(),
        aimNm: z.number(),
        /** Of each, with compound on the thread; 1 where it is not cut. */
        share: z.number(),
        compound: z.enum(['dry', 'compound', 'by-thread']),
        condition: z.enum(TORQUE_CONDITIONS),
        conflict: z.boolean(),
        sources: z.array(z.string()),
      })
      .nullable(),
    turn: z.string().nullable(),
    /** What is odd about the sources, to be asked before it is used. */
    questions: z.array(z.string()),
  }),
  interval: z
    .object({
      value: z.number(),
      countedIn: z.enum(['km', 'hours']),
      source: z.string(),
      share: z.number(),
      /** The engine maker's own is longer than this plug lives. */
      outlivesPart: z.boolean(),
    })
    .nullable(),
});
export type SetUpFigures = z.infer<typeof setUpFigures>;
