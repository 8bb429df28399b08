import { createEvents, type DateArray } from 'ics';
import { stringify } from 'csv-stringify/sync';
import { dayAfter } from '@brackenfell/core/words/calendar';
import type { DueLine } from '@brackenfell/contract/garage';

const dateArray = (day: string): DateArray => day.split('-').map(Number) as unknown as DateArray;

/** On which day a due is looked after: its own, or today where it is past or nobody can tell. */
const dayOf = ({ on, isPast }: DueLine, today: string): string => (isPast || on === null || on < today ? today : on);

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

/** A calendar of dues, a day each; an event keeps its UID from file to file, so that a calendar takes it in once. */
export function calendarOf(dues: readonly DueLine[], today: string): Uint8Array {
  const { value, error } = createEvents(
    dues.map((due) => {
      const day = dayOf(due, today);
      return {
        uid: `due-${due.vehicleId}-${due.fittedId}@brackenfell`,
        productId: 'brackenfell',
        calName: 'Dues',
        start: dateArray(day),
        end: dateArray(dayAfter(day, 1)),
        title: `${due.called}: ${due.what} due`,
        description: [due.because, due.customer, due.phone].filter(Boolean).join('\n'),
        busyStatus: 'FREE',
        transp: 'TRANSPARENT',
      };
    }),
    { productId: 'brackenfell' },
  );
  if (error) throw error;
  return bytes(value ?? 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:brackenfell\r\nEND:VCALENDAR\r\n');
}

const COLUMNS = ['day', 'vehicle', 'plate', 'what', 'why', 'customer', 'phone'] as const;

/** The same as a sheet: RFC 4180, in UTF-8 with its mark; what a spreadsheet would take for a formula is text. */
export const sheetOf = (dues: readonly DueLine[], today: string): Uint8Array =>
  bytes(
    stringify(
      dues.map((due) => [dayOf(due, today), due.called, due.plate, due.what, due.because, due.customer, due.phone]),
      { header: true, columns: [...COLUMNS], bom: true, record_delimiter: 'windows', escape_formulas: true },
    ),
  );
