import { UTCDate } from '@date-fns/utc';
import {
  addDays,
  addMonths,
  differenceInCalendarDays,
  getDaysInMonth,
  getISOWeeksInYear,
  startOfISOWeek,
} from 'date-fns';

/** A day as YYYY-MM-DD: days sort as they follow each other. Nothing here knows of a clock or a zone. */
export type Day = string;

const iso = (date: Date): Day => date.toISOString().slice(0, 10);

/** A day of the calendar. Month from 1 to 12. */
export const dayOf = (year: number, month: number, day: number): Day => iso(new UTCDate(year, month - 1, day));

export const daysInMonth = (year: number, month: number): number => getDaysInMonth(new UTCDate(year, month - 1, 1));

// The fourth of January lies in the first ISO week of its year.
const inWeekOne = (year: number): Date => new UTCDate(year, 0, 4);

export const weeksInYear = (year: number): number => getISOWeeksInYear(inWeekOne(year));

/** Monday and Sunday of an ISO week. */
export function weekOf(year: number, week: number): { readonly from: Day; readonly to: Day } {
  const monday = addDays(startOfISOWeek(inWeekOne(year)), (week - 1) * 7);
  return { from: iso(monday), to: iso(addDays(monday, 6)) };
}

/** A month, YYYY-MM, and the one before. */
export function monthBefore(month: string): string {
  const [year = 0, number = 1] = month.split('-').map(Number);
  return iso(addMonths(new UTCDate(year, number - 1, 1), -1)).slice(0, 7);
}

const dateOf = (day: Day): UTCDate => new UTCDate(`${day}T00:00:00Z`);

/** Days from one day to another; less than nothing where it is earlier. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(dateOf(to), dateOf(from));

export const dayAfter = (day: Day, days: number): Day => iso(addDays(dateOf(day), days));
