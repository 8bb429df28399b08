import { z } from 'zod';

/** Shapes of recorded values that many facts share. Lengths in mm, resistance in the unit of the fact's name. */
export const mm = z.number().positive().max(200);
export const count = z.number().int().min(1).max(24);
export const ohm = z.number().positive().max(100);
export const deg = z.number().min(0).max(360);
export const word = z.string().min(1).max(20);
export const month = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/);
export const hexPoints = z.union([z.literal(6), z.literal(12)]);

/** A range; a single figure is a range whose ends are one. */
export const span = z
  .object({ low: z.number().positive(), high: z.number().positive() })
  .refine((s) => s.low <= s.high, 'low must not exceed high')
  .readonly();
export type Span = z.infer<typeof span>;

export const SUPPLY_STATES = ['active', 'superseded', 'discontinued', 'quarantined'] as const;
/** `successor` is the number that replaced it, as printed, where superseded. */
export const supply = z.object({ state: z.enum(SUPPLY_STATES), successor: z.string().optional() }).readonly();
export type Supply = z.infer<typeof supply>;
