import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dayAfter } from '../words/calendar.ts';
import { sayIn } from '../fitment/say.ts';
import { stillFitted } from './current.ts';
import { dueOf, isDueBy } from './due.ts';
import { sayRun, sayWhyDue } from './say-due.ts';
import { ALL_YEAR, dayWhen, oddReading, servedBy, useOf } from './use.ts';
import { runs } from '../testing/runs.ts';

const at = (on: string, served: number) => ({ on, served });
const said = (perDay: number | undefined, months: readonly number[] = ALL_YEAR) => ({ perDay, months });

describe('how much a vehicle runs', () => {
  test('is told by its own readings once they are a month apart, else by what was said', () => {
    expect(useOf([at('2026-01-01', 10_000), at('2026-04-11', 20_000)], said(40)).perDay).toBe(100);
    expect(useOf([at('2026-01-01', 10_000), at('2026-01-20', 20_000)], said(40)).perDay).toBe(40);
    expect(useOf([at('2026-04-11', 20_000)], said(undefined)).perDay).toBeUndefined();
  });
  test('counts only the months it runs: a hill climb car stands all winter', () => {
    // 1 May to 30 September is 153 days after 30 April; October to April is nothing.
    const summer = [5, 6, 7, 8, 9];
    expect(useOf([at('2025-04-30', 0), at('2026-04-30', 1530)], said(undefined, summer)).perDay).toBe(10);
    expect(dayWhen(20, said(10, summer), '2026-09-29')).toBe('2027-05-01');
    expect(servedBy([at('2026-09-30', 5000)], said(10, summer), '2027-05-02')).toEqual({
      served: 5020,
      isEstimate: true,
    });
  });
  test('between two readings it is laid evenly, after the last it goes on by use, and what was read is no estimate', () => {
    const readings = [at('2026-01-01', 1000), at('2026-01-11', 2000)];
    expect(servedBy(readings, said(50), '2026-01-06')).toEqual({ served: 1500, isEstimate: true });
    expect(servedBy(readings, said(50), '2026-01-13')).toEqual({ served: 2100, isEstimate: true });
    expect(servedBy(readings, said(50), '2026-01-11')).toEqual({ served: 2000, isEstimate: false });
    expect(servedBy(readings, said(50), '2025-12-30')).toEqual({ served: 900, isEstimate: true });
    expect(servedBy([], said(50), '2026-01-01')).toBeUndefined();
  });
});

describe('one more reading', () => {
  const readings = [at('2026-01-01', 50_000), at('2026-03-01', 54_000)];
  test.each([
    ['lower than before is asked', at('2026-04-01', 53_999), 'distance', 'lower'],
    ['higher than a later one is asked', at('2026-02-01', 54_001), 'distance', 'higher'],
    ['that nobody drives in the time is asked', at('2026-03-03', 57_001), 'distance', 'leap'],
    ['of more hours than the days have is asked', at('2026-03-02', 54_025), 'hours', 'leap'],
  ] as const)('%s', (_, next, countsIn, kind) => expect(oddReading(readings, next, countsIn)).toMatchObject({ kind }));
  test('that goes on as before is taken', () => {
    expect(oddReading(readings, at('2026-04-01', 56_000), 'distance')).toBeUndefined();
    expect(oddReading([], at('2026-04-01', 1), 'distance')).toBeUndefined();
  });
});

describe('when plugs are due', () => {
  const readings = [at('2026-01-01', 50_000), at('2026-04-11', 60_000)];
  const use = useOf(readings, said(undefined));
  test('by distance, and by the day its use makes of that', () => {
    // 100 km a day; fitted at 45 000 for 60 000: 45 000 more.
    expect(dueOf({ served: 45_000, on: undefined, interval: 60_000 }, readings, use, '2026-04-11')).toEqual({
      kind: 'due',
      at: 105_000,
      left: 45_000,
      on: '2027-07-05',
      isEstimate: false,
    });
  });
  test('fitted on a day that was not read, it is reckoned and said to be', () => {
    expect(dueOf({ served: undefined, on: '2026-01-11', interval: 20_000 }, readings, use, '2026-04-11')).toMatchObject(
      {
        at: 71_000,
        isEstimate: true,
      },
    );
  });
  test('with a history nobody knows they are due now, never fresh', () => {
    const unknown = dueOf({ served: undefined, on: undefined, interval: 60_000 }, readings, use, '2026-04-11');
    expect(unknown).toEqual({ kind: 'history-unknown' });
    expect(isDueBy(unknown, '2026-04-11')).toBe(true);
  });
  test('past their distance they are due today; without a use there is no day, and none is made up', () => {
    const past = dueOf({ served: 1000, on: undefined, interval: 20_000 }, readings, use, '2026-04-11');
    expect(past).toMatchObject({ left: -39_000, on: '2026-04-11' });
    const alone = [at('2026-04-11', 60_000)];
    const noDay = dueOf({ served: 50_000, on: undefined, interval: 60_000 }, alone, said(undefined), '2026-04-11');
    expect(noDay).toMatchObject({ left: 50_000, on: undefined });
    expect([isDueBy(past, '2026-04-11'), isDueBy(noDay, '2030-01-01')]).toEqual([true, false]);
  });
  test('nobody says how long, or nothing was ever read: said so, not guessed', () => {
    const fitted = { served: undefined, on: '2026-01-01', interval: undefined };
    expect(dueOf(fitted, readings, use, '2026-04-11').kind).toBe('no-interval');
    expect(dueOf({ ...fitted, interval: 20_000 }, [], said(50), '2026-04-11').kind).toBe('never-read');
  });
});

describe('what still sits in a vehicle', () => {
  const record = (partKind: string, places: string[], on?: string) => ({ partKind, places, on });
  test('is what was fitted last at each place: one coil renewed leaves the other three, plugs leave coils', () => {
    const plugs = record('plug', ['1', '2', '3', '4'], '2024-01-01');
    const coils = record('coil', ['1', '2', '3', '4'], '2024-01-01');
    const one = record('coil', ['3'], '2025-01-01');
    const later = record('plug', ['1', '2', '3', '4'], '2026-01-01');
    expect(stillFitted([plugs, coils, later])).toEqual([coils, later]);
    expect(stillFitted([later, plugs])).toEqual([later]);
    expect(stillFitted([plugs, one])).toEqual([plugs, one]);
  });
  test('what is written without a place is for the whole of it, and without a day as old as its writing', () => {
    const said = record('plug', []);
    expect(stillFitted([said, record('plug', ['1'], '2020-01-01')])).toHaveLength(1);
    expect(stillFitted([record('plug', ['1'], '2020-01-01'), said])).toEqual([said]);
  });
});

describe('why it is due', () => {
  const why = { countsIn: 'hours', interval: 400, intervalSource: 'engine maker' } as const;
  test('is told in the vehicle’s own counting, and says where it was reckoned', () => {
    const due = { kind: 'due', at: 8550, left: 138, on: '2026-12-01', isEstimate: true } as const;
    expect(sayWhyDue(due, why, sayIn('metric'))).toBe(
      'Every 400 h, engine maker. 138 h left by its use, reckoned from its readings.',
    );
    expect(sayWhyDue({ ...due, left: -20, isEstimate: false }, why, sayIn('metric'))).toMatch(/20 h past it\.$/);
    expect(sayWhyDue({ ...due, on: undefined }, why, sayIn('metric'))).toMatch(/nobody knows/);
    expect(sayWhyDue({ kind: 'history-unknown' }, why, sayIn('metric'))).toMatch(/never taken for fresh/);
    // As the meter shows it: an interval is rounded down when it is converted, a reading is not.
    expect(sayRun(252_650, 'distance', sayIn('imperial'))).toMatch(/^156.98\d miles$/);
  });
});

describe('whatever was read and fitted', () => {
  const day = fc.integer({ min: 0, max: 2000 }).map((days) => dayAfter('2020-01-01', days));
  const months = fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 12 });

  test('the day a distance is reached is the first on which it is, and lies in a month that it runs', () => {
    fc.assert(
      fc.property(
        day,
        months,
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 60_000 }),
        (on, inMonths, perDay, left) => {
          const use = { perDay, months: inMonths };
          const reached = dayWhen(left, use, on);
          if (reached === undefined) return;
          const readings = [at(on, 1000)];
          expect(inMonths).toContain(Number(reached.slice(5, 7)));
          expect(servedBy(readings, use, reached)!.served).toBeGreaterThanOrEqual(1000 + left - 1e-6);
          expect(servedBy(readings, use, dayAfter(reached, -1))!.served).toBeLessThan(1000 + left);
        },
      ),
      { numRuns: runs(60) },
    );
  });

  test('it runs on every day of its months and on no other, counted day by day', () => {
    fc.assert(
      fc.property(day, months, fc.integer({ min: 0, max: 900 }), (on, inMonths, days) => {
        const after = Array.from({ length: days }, (_, i) => dayAfter(on, i + 1));
        const ran = after.filter((one) => inMonths.includes(Number(one.slice(5, 7)))).length;
        const use = { perDay: 1, months: inMonths };
        expect(servedBy([at(on, 0)], use, dayAfter(on, days))!.served).toBe(ran);
      }),
      { numRuns: runs(60) },
    );
  });

  test('a day further off than twenty-five years is not told', () => {
    expect(dayWhen(366 * 25, { perDay: 1, months: ALL_YEAR }, '2026-01-01')).toBe('2051-01-20');
    expect(dayWhen(366 * 25 + 1, { perDay: 1, months: ALL_YEAR }, '2026-01-01')).toBeUndefined();
    const inMay = { perDay: 1, months: [5] };
    expect(dayWhen(31 * 25, inMay, '2026-01-01')).toBe('2050-05-31');
    expect(dayWhen(31 * 25 + 1, inMay, '2026-01-01')).toBeUndefined();
  });

  test('what it has run never falls between two readings that rise, and meets both', () => {
    fc.assert(
      fc.property(
        day,
        months,
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 0, max: 90_000 }),
        (on, inMonths, days, run) => {
          const readings = [at(on, 500), at(dayAfter(on, days), 500 + run)];
          const use = useOf(readings, { perDay: undefined, months: inMonths });
          let last = 500;
          for (let i = 0; i <= days; i += Math.max(1, Math.floor(days / 12))) {
            const { served } = servedBy(readings, use, dayAfter(on, i))!;
            expect(served).toBeGreaterThanOrEqual(last - 1e-6);
            last = served;
          }
          expect(servedBy(readings, use, dayAfter(on, days))).toEqual({ served: 500 + run, isEstimate: false });
        },
      ),
      { numRuns: runs(60) },
    );
  });

  test('at each place of a kind one part sits at most, and where any was fitted one does', () => {
    const record = fc.record({
      partKind: fc.constantFrom('plug', 'coil'),
      places: fc.subarray(['1', '2', '3'], { minLength: 1 }),
      on: fc.option(day, { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(record, { maxLength: 8 }), (records) => {
        const still = stillFitted(records);
        for (const kind of ['plug', 'coil'])
          for (const place of ['1', '2', '3']) {
            const here = still.filter(({ partKind, places }) => partKind === kind && places.includes(place));
            expect(here.length).toBeLessThanOrEqual(1);
          }
        const dated = records.filter(({ on }) => on !== undefined);
        if (dated.length === records.length && records.length > 0) expect(still.length).toBeGreaterThan(0);
      }),
    );
  });

  test('a reading that lies between its neighbours, and no further than anybody drives, is never asked', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 2, max: 500 }), fc.integer({ min: 0, max: 100 }), (on, days, share) => {
        const readings = [at(on, 1000), at(dayAfter(on, days), 1000 + days * 100)];
        const between = Math.round((days * share) / 100);
        const next = at(dayAfter(on, between), 1000 + between * 100);
        expect(oddReading(readings, next, 'distance')).toBeUndefined();
      }),
    );
  });
});
