import { describe, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import ICAL from 'ical.js';
import type { DueLine } from '@brackenfell/contract/garage';
import { calendarOf, sheetOf } from './due-files.ts';

const TODAY = '2026-11-27';
const due = (more: Partial<DueLine>): DueLine => ({
  fittedId: '11',
  vehicleId: '7',
  called: 'Taxi 14',
  plate: 'CW-1914',
  customer: 'Sallowdale Taxis',
  phone: '01632 960 108',
  what: '3 × IVX-C26-J07',
  kind: 'due',
  isPast: false,
  at: 90_000,
  left: 400,
  on: '2026-11-30',
  countsIn: 'distance',
  because: 'Every 60 000 km.',
  ...more,
});
const text = (bytes: Uint8Array): string => new TextDecoder('utf-8', { ignoreBOM: true }).decode(bytes);
const events = (bytes: Uint8Array) =>
  new ICAL.Component(ICAL.parse(text(bytes)) as unknown[])
    .getAllSubcomponents('vevent')
    .map((component) => new ICAL.Event(component));

describe('a calendar of dues', () => {
  test('has a whole day for each: its own, or today for what is past and for what nobody can tell', () => {
    const dues = [
      due({}),
      due({ fittedId: '12', isPast: true, on: '2026-10-01' }),
      due({ fittedId: '13', on: null, kind: 'history-unknown', isPast: true }),
    ];
    const all = events(calendarOf(dues, TODAY));
    expect(all.map(({ startDate }) => startDate.toString())).toEqual(['2026-11-30', TODAY, TODAY]);
    expect(all.every(({ startDate, endDate }) => startDate.isDate && endDate.isDate)).toBe(true);
    expect(all.map(({ uid }) => uid)).toEqual(['due-7-11@brackenfell', 'due-7-12@brackenfell', 'due-7-13@brackenfell']);
  });
  test('folds and escapes what a name may hold, and a reader gives it back whole', () => {
    const called = 'The Cawdle, Upper Sallowdale; and “Mending” Co-operative’s \\ very long seven-seater, blue';
    const [event] = events(calendarOf([due({ called })], TODAY));
    expect(event!.summary).toBe(`${called}: 3 × IVX-C26-J07 due`);
    for (const line of text(calendarOf([due({ called })], TODAY)).split('\r\n'))
      expect(line.length).toBeLessThanOrEqual(75);
  });
  test('of nothing is a calendar still', () => expect(events(calendarOf([], TODAY))).toEqual([]));
});

describe('a sheet of dues', () => {
  test.each(['=1+1', '+44 1632', '-5', '@cmd', '\tTAB'])(
    '%j stands as text, for a spreadsheet would reckon it',
    (customer) => {
      const [row] = parse<Record<string, string>>(text(sheetOf([due({ customer })], TODAY)), {
        columns: true,
        bom: true,
      });
      expect(row!.customer).toBe(`'${customer}`);
    },
  );
  test('keeps commas, quotes and letters of any tongue, and ends its lines as RFC 4180 has them', () => {
    const customer = 'Ling "Moor", Farm; Þórhildur';
    const sheet = text(sheetOf([due({ customer })], TODAY));
    expect(sheet.startsWith('\ufeffday,vehicle,plate,what,why,customer,phone\r\n')).toBe(true);
    const [row] = parse<Record<string, string>>(sheet, { columns: true, bom: true, relax_quotes: false });
    expect(row).toMatchObject({ customer, day: '2026-11-30', what: '3 × IVX-C26-J07' });
  });
});
