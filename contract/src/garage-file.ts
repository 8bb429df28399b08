import { z } from 'zod';
import { Day } from './calendar.ts';
import { DutyText } from './duty.ts';
import { SlipKept } from './slip-kept.ts';
import { END_REASONS, SLIP_STATES } from '@brackenfell/core/slip/slip-states';

/** A shop's garage book: how vehicles and machines that it has known for years come in. */
export const GarageFile = z.object({
  customers: z.array(
    z.object({
      name: z.string().min(1),
      phone: z.string().default(''),
      accountRef: z.string().default(''),
      isTrade: z.boolean().default(false),
    }),
  ),
  vehicles: z.array(
    z.object({
      /** Name of the customer; none for a vehicle of nobody known. */
      customer: z.string().nullable(),
      called: z.string().min(1),
      plate: z.string().default(''),
      serial: z.string().default(''),
      engineId: z.string(),
      build: z.string().nullable().default(null),
      duty: DutyText.default(''),
      modified: z.string().default(''),
      /** km or hours a day, as somebody said. */
      perDay: z.number().nullable().default(null),
      months: z.array(z.number().int()).optional(),
      readings: z.array(z.object({ on: Day, served: z.number() })),
      /** Fitted before, and not on a slip of this counter. */
      fitted: z.array(
        z.object({
          number: z.string(),
          quantity: z.number().int().positive(),
          on: Day.nullable(),
          served: z.number().nullable(),
          how: z.enum(['known', 'said']),
        }),
      ),
      declined: z.array(z.object({ says: z.string(), priceMinor: z.number().int().nullable(), on: Day })).default([]),
    }),
  ),
});
export type GarageFile = z.input<typeof GarageFile>;

/** Slips as they stand on the day a shop begins with; those that are sold belong to its past. */
export const DayFile = z.array(
  z.object({
    docket: z.number().int().positive(),
    /** What its vehicle is called in the garage book. */
    vehicle: z.string(),
    cameFor: z.string().default(''),
    /** What is put on it; nothing on a slip that only holds what was read. */
    put: z.object({ number: z.string(), quantity: z.number().int().positive() }).optional(),
    /** What was read of old parts and is kept on it. */
    kept: z.array(SlipKept).default([]),
    state: z.enum(SLIP_STATES).exclude(['open', 'collected']),
    endReason: z.enum(END_REASONS).optional(),
    lent: z.object({ tool: z.string().min(1), depositMinor: z.number().int(), inDays: z.number().int() }).optional(),
  }),
);
export type DayFile = z.input<typeof DayFile>;
