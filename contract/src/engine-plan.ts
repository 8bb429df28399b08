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
