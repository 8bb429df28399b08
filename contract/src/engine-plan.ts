import { z } from 'zod';
import { FASTENER_FATES } from '@brackenfell/core/kit/fasteners';
import { SUNDRY_USE } from '@brackenfell/core/kit/sundries';

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

export const NOTES_ABOUT = ['access', 'procedure', 'fastener', 'breaks', 'bared'] as const;

/** What a fitter is told besides the parts: the way there, what else is tightened, what breaks, what lies bare then. */
export const EngineNote = z
  .object({
    about: z.enum(NOTES_ABOUT),
    says: z.string().min(3).max(200),
    /** Of another fastener than the plug. */
    torqueNm: z.object({ low: z.number().min(2).max(150), high: z.number().min(2).max(150) }).optional(),
    /** How many there are of it. */
    count: z.number().int().min(1).max(99).optional(),
    /** Of fasteners: which goes where. */
    where: z.string().min(3).max(120).optional(),
    isCaptive: z.boolean().optional(),
    fate: z.enum(FASTENER_FATES).optional(),
    /** Of what breaks: it stands in the heat; it is renewed whenever it comes off. */
    isHot: z.boolean().optional(),
    isRenewedAlways: z.boolean().optional(),
    /** What the shop sells for it, by its use. */
    use: z.string().regex(SUNDRY_USE).max(40).optional(),
    /** Of what lies bare: the engine maker's own interval for it. */
    everyKm: z.number().positive().optional(),
  })
  .meta({ id: 'EngineNote' });
export type EngineNote = z.infer<typeof EngineNote>;
