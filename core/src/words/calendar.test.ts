import { describe, expect, test } from '@jest/globals';
import { differenceInCalendarDays } from 'date-fns';
import fc from 'fast-check';
import { dayOf, daysInMonth, monthBefore, weekOf, weeksInYear } from './calendar.ts';

describe('the calendar', () => {
  test('has ISO weeks: week 53 exists in 2020 and not in 2021, and week 1 may begin in December', () => {
    expect([weeksInYear(2020), weeksInYear(2021)]).toEqual([53, 52]);
    expect(weekOf(2026, 1)).toEqual({ from: '2025-12-29', to: '2026-01-04' });
    expect(weekOf(2020, 53)).toEqual({ from: '2020-12-28', to: '2021-01-03' });
  });

  test('follows week upon week without a gap, whatever the zone of the machine', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1990, max: 2090 }), fc.integer({ min: 1, max: 51 }), (year, week) => {
        const [sunday, monday] = [weekOf(year, week).to, weekOf(year, week + 1).from];
        expect(differenceInCalendarDays(monday, sunday)).toBe(1);
      }),
    );
  });

  test('knows leap days and the month before January', () => {
    expect([daysInMonth(2024, 2), daysInMonth(2100, 2), daysInMonth(2026, 12)]).toEqual([29, 28, 31]);
    expect([dayOf(2024, 2, 29), dayOf(2026, 3, 29)]).toEqual(['2024-02-29', '2026-03-29']);
    expect([monthBefore('2016-01'), monthBefore('2016-09')]).toEqual(['2015-12', '2016-08']);
  });
});
