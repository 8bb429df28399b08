import { isSameYear, parseISO } from 'date-fns';
import type { Locale } from './money.ts';

/** Moments are told in the zone of the machine that tells them: a till's, or for paper the server's; both stand in the shop. */
function formatsOf(locale: Locale) {
  const format = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options);
  const [day, time] = [
    { day: 'numeric', month: 'short' },
    { hour: '2-digit', minute: '2-digit' },
  ] as const;
  return {
    clock: format(time),
    weekday: format({ ...day, weekday: 'short' }),
    withTime: format({ ...day, ...time }),
    withYear: format({ ...day, year: 'numeric' }),
    whole: format({ ...day, ...time, year: 'numeric' }),
  };
}

/** As with money, one process writes for one shop, and from the first moment it writes. */
let told: Locale = 'en-GB';
let made: ReturnType<typeof formatsOf> | undefined;
const formats = () => (made ??= formatsOf(told));

/** From here on moments are written as this locale has them, in the zone the process stands in when it writes the next. */
export function writeMomentsAs(locale: Locale): void {
  told = locale;
  made = undefined;
}

/** 13:41 */
export const printClock = (iso: string): string => formats().clock.format(parseISO(iso));

/** Wed 25 Nov */
export const printWeekday = (iso: string): string => formats().weekday.format(parseISO(iso));

/** 25 Nov 2026 */
export const printDate = (iso: string): string => formats().withYear.format(parseISO(iso));

/** With day, year and time, as paper has it. */
export const printWhole = (iso: string): string => formats().whole.format(parseISO(iso));

/** As the counter writes it on `now`: 25 Nov, 13:41; of another year the day with its year. */
export const printMoment = (iso: string, now: Date): string =>
  (isSameYear(parseISO(iso), now) ? formats().withTime : formats().withYear).format(parseISO(iso));
