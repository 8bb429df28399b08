import { z } from 'zod';

/** Whether a day of that month and year there is: 30 February is read as 2 March by more than one reader of dates. */
const isOfTheCalendar = (day: string): boolean => {
  const read = new Date(`${day}T00:00:00Z`);
  return !Number.isNaN(read.getTime()) && read.toISOString().startsWith(day);
};

/** A day of the calendar. */
export const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a day, YYYY-MM-DD')
  .refine(isOfTheCalendar, 'must be a day of the calendar');

/** A month, as parts are built by. */
export const Month = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'must be a month such as 2016-08');
