import { z } from 'zod';

const cylinder = z.number().int().positive();

/** How an engine's cylinders stand, are numbered and fire. */
export const EnginePlan = z
  .object({
    /** One row, or the left and the right one, each from the engine's front to its rear. */
    banks: z
      .array(z.object({ label: z.string(), cylinders: z.array(cylinder).min(1) }))
      .min(1)
      .max(2),
    firingOrder: z.array(cylinder).min(1),
    rotation: z.enum(['clockwise', 'anticlockwise']).optional(),
  })
  .meta({ id: 'EnginePlan' });
export type EnginePlan = z.infer<typeof EnginePlan>;

export const NOTES_ABOUT = ['access', 'procedure', 'fastener', 'breaks'] as const;

/** What a fitter is told of an engine besides its parts: how to get there, what else is tightened, what breaks. */
export const EngineNote = z
  .object({
    about: z.enum(NOTES_ABOUT),
    says: z.string().min(3).max(200),
    /** Of another fastener than the plug. */
    torqueNm: z.object({ low: z.number().min(2).max(150), high: z.number().min(2).max(150) }).optional(),
  })
  .meta({ id: 'EngineNote' });
export type EngineNote = z.infer<typeof EngineNote>;
