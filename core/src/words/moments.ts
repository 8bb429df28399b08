import { isSameYear, parseISO } from 'date-fns';

/** Moments are told in the zone of the machine that tells them: a till's, or for paper the server's; both stand in the shop. */
const format = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en-GB', options);

const clock = format({ hour: '2-digit', minute: '2-digit' });
const weekday = format({ weekday: 'short', day: 'numeric', month: 'short' });
const withTime = format({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
const withYear = format({ day: 'numeric', month: 'short', year: 'numeric' });
const whole = format({ day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' });

/** 13:41 */
export const printClock = (iso: string): string => clock.format(parseISO(iso));

/** Wed 25 Nov */
export const printWeekday = (iso: string): string => weekday.format(parseISO(iso));

/** 25 Nov 2026 */
export const printDate = (iso: string): string => withYear.format(parseISO(iso));

/** With day, year and time, as paper has it. */
export const printWhole = (iso: string): string => whole.format(parseISO(iso));

/** As the counter writes it on `now`: 25 Nov, 13:41; of another year the day with its year. */
export const printMoment = (iso: string, now: Date): string =>
  (isSameYear(parseISO(iso), now) ? withTime : withYear).format(parseISO(iso));
