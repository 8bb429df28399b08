/** Days are counted from 1 January 1970; nothing here knows of a clock or a zone. */
export type DayNumber = number;

const DAYS_BEFORE_1970 = 719_468;
const DAYS_OF_400_YEARS = 146_097;

/** Count of a day of the Gregorian calendar. Month from 1 to 12. The year is taken to begin in March, so that leap days end it. */
export function dayNumber(year: number, month: number, day: number): DayNumber {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * DAYS_OF_400_YEARS + dayOfEra - DAYS_BEFORE_1970;
}

/** YYYY-MM-DD as a count of days. */
export function parseDay(iso: string): DayNumber {
  const [year = 0, month = 1, day = 1] = iso.split('-').map(Number);
  return dayNumber(year, month, day);
}

/** A count of days as YYYY-MM-DD. */
export function printDay(count: DayNumber): string {
  const shifted = count + DAYS_BEFORE_1970;
  const era = Math.floor(shifted / DAYS_OF_400_YEARS);
  const dayOfEra = shifted - era * DAYS_OF_400_YEARS;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const fromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const day = dayOfYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  return `${String(year)}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

export const daysInMonth = (year: number, month: number): number =>
  (month === 12 ? dayNumber(year + 1, 1, 1) : dayNumber(year, month + 1, 1)) - dayNumber(year, month, 1);

/** Monday of ISO week 1: the week that holds 4 January. */
export function firstMonday(year: number): DayNumber {
  const fourth = dayNumber(year, 1, 4);
  // 1 January 1970 was a Thursday, the fourth day of its week.
  return fourth - ((((fourth + 3) % 7) + 7) % 7);
}

export const weeksInYear = (year: number): number => (firstMonday(year + 1) - firstMonday(year)) / 7;
