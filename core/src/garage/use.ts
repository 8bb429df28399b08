import type { CountsIn } from '../service-plan/running-hours.ts';
import { dayAfter, daysBetween, daysInMonth, type Day } from '../words/calendar.ts';

/** What was read off a vehicle or machine: km, or running hours where it counts in those. */
export interface ServedReading {
  readonly on: Day;
  readonly served: number;
}

/** How a vehicle is used: km or hours a day in the months it runs, 1 for January. */
export interface Use {
  /** Undefined where nobody knows. */
  readonly perDay: number | undefined;
  readonly months: readonly number[];
}

export const ALL_YEAR: readonly number[] = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** The months from a day on, without end: how many days of each come after it. */
function* monthsAfter(from: Day): Generator<{ readonly month: number; readonly days: number }, never> {
  const [year, month, day] = from.split('-').map(Number) as [number, number, number];
  yield { month, days: daysInMonth(year, month) - day };
  for (let next = month; ; next += 1) {
    const here = (next % 12) + 1;
    yield { month: here, days: daysInMonth(year + Math.floor(next / 12), here) };
  }
}

/** Days between two on which it runs at all; the first is not counted. */
function daysRun(from: Day, to: Day, months: readonly number[]): number {
  let left = daysBetween(from, to);
  if (left <= 0 || months.length === ALL_YEAR.length) return Math.max(0, left);
  let run = 0;
  for (const { month, days } of monthsAfter(from)) {
    const here = Math.min(days, left);
    if (months.includes(month)) run += here;
    left -= here;
    if (left === 0) break;
  }
  return run;
}

const inOrder = (readings: readonly ServedReading[]): readonly ServedReading[] =>
  [...readings].sort((a, b) => a.on.localeCompare(b.on) || a.served - b.served);

/** Readings closer than this say little of how it is used. */
const TELLING_DAYS = 30;

/**
 * How much it runs a day, by its own readings: the first and the last of them, at least a month apart. What somebody said
 * stands in where there are none. Garage book: Use.
 */
export function useOf(readings: readonly ServedReading[], said: Use): Use {
  const ordered = inOrder(readings);
  const [first, last] = [ordered[0], ordered.at(-1)];
  if (!first || !last || daysBetween(first.on, last.on) < TELLING_DAYS || last.served <= first.served) return said;
  const days = daysRun(first.on, last.on, said.months);
  return days === 0 ? said : { ...said, perDay: (last.served - first.served) / days };
}

/** What it has run by a day: as read, else between two readings, else onward by its use. Undefined without a reading. */
export function servedBy(
  readings: readonly ServedReading[],
  use: Use,
  day: Day,
): { readonly served: number; readonly isEstimate: boolean } | undefined {
  const ordered = inOrder(readings);
  const before = ordered.findLast(({ on }) => on <= day);
  const after = ordered.find(({ on }) => on >= day);
  if (before?.on === day) return { served: before.served, isEstimate: false };
  if (before && after) {
    const share = daysRun(before.on, day, use.months) / Math.max(1, daysRun(before.on, after.on, use.months));
    return { served: before.served + share * (after.served - before.served), isEstimate: true };
  }
  const known = before ?? after;
  if (!known || use.perDay === undefined) return known && { served: known.served, isEstimate: true };
  const run = before ? daysRun(known.on, day, use.months) : -daysRun(day, known.on, use.months);
  return { served: Math.max(0, known.served + run * use.perDay), isEstimate: true };
}

const FAR_DAYS = 366 * 25;

/** The day by which so much more is run; undefined where nobody knows its use, or not in this generation. */
export function dayWhen(left: number, { perDay, months }: Use, today: Day): Day | undefined {
  if (left <= 0) return today;
  if (perDay === undefined || perDay <= 0 || months.length === 0) return undefined;
  let toRun = Math.ceil(left / perDay - 1e-9);
  if (toRun > FAR_DAYS) return undefined;
  if (months.length === ALL_YEAR.length) return dayAfter(today, toRun);
  let gone = 0;
  for (const { month, days } of monthsAfter(today)) {
    const runs = months.includes(month);
    if ((runs && toRun <= days) || gone > FAR_DAYS) break;
    if (runs) toRun -= days;
    gone += days;
  }
  return gone + toRun > FAR_DAYS ? undefined : dayAfter(today, gone + toRun);
}

/** More than this in a day nobody drives, and no day has more hours. */
const MOST_A_DAY: Readonly<Record<CountsIn, number>> = { distance: 1500, hours: 24 };

/** Why a reading can hardly be right beside those there are. */
export type OddReading =
  | { readonly kind: 'lower'; readonly than: ServedReading }
  | { readonly kind: 'higher'; readonly than: ServedReading }
  | { readonly kind: 'leap'; readonly since: ServedReading; readonly perDay: number };

/** What is odd about one more reading; undefined where nothing is. A lower one than before is asked. Garage book: Readings. */
export function oddReading(
  readings: readonly ServedReading[],
  next: ServedReading,
  countsIn: CountsIn,
): OddReading | undefined {
  const ordered = inOrder(readings);
  const before = ordered.findLast(({ on }) => on <= next.on);
  const after = ordered.find(({ on }) => on > next.on);
  if (before && next.served < before.served) return { kind: 'lower', than: before };
  if (after && next.served > after.served) return { kind: 'higher', than: after };
  if (!before) return undefined;
  const perDay = (next.served - before.served) / Math.max(1, daysBetween(before.on, next.on));
  return perDay > MOST_A_DAY[countsIn] ? { kind: 'leap', since: before, perDay } : undefined;
}
