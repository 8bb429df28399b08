import { normalForm } from '../part-numbers/normal-form.ts';
import { dayOf, daysInMonth, weekOf, weeksInYear, type Day } from '../words/calendar.ts';

/** One field of a maker's batch code. Years that repeat are read as their latest date not in the future. */
export type BatchCodeField =
  | { readonly kind: 'constant'; readonly text: string }
  | { readonly kind: 'works'; readonly codes: Readonly<Record<string, string>> }
  /** One letter a year, in this order from `first`, over and over. */
  | { readonly kind: 'year-letter'; readonly letters: string; readonly first: number }
  | { readonly kind: 'year-digit' }
  | { readonly kind: 'year-two-digits' }
  | { readonly kind: 'week' }
  | { readonly kind: 'month' }
  | { readonly kind: 'month-letter'; readonly letters: string }
  | { readonly kind: 'day' }
  | { readonly kind: 'serial'; readonly digits: number };

/** How a maker writes its production code, as data. */
export interface BatchCodeGrammar {
  readonly title: string;
  readonly fields: readonly BatchCodeField[];
}

export interface BatchCodePart {
  readonly code: string;
  readonly says: string;
}

/** Days as YYYY-MM-DD. */
export type BatchCodeReading =
  | { readonly kind: 'read'; readonly parts: readonly BatchCodePart[]; readonly from: string; readonly to: string }
  | { readonly kind: 'future'; readonly parts: readonly BatchCodePart[]; readonly from: string; readonly to: string }
  | { readonly kind: 'impossible'; readonly parts: readonly BatchCodePart[]; readonly why: string }
  | { readonly kind: 'not-of-this-scheme'; readonly scheme: string };

const MONTHS = 'January February March April May June July August September October November December'.split(' ');
const SHAPES: Readonly<Record<Exclude<BatchCodeField['kind'], 'constant' | 'works' | 'serial'>, string>> = {
  'year-letter': '([A-Z])',
  'year-digit': '([0-9])',
  'year-two-digits': '([0-9]{2})',
  week: '([0-9]{2})',
  month: '([0-9]{2})',
  'month-letter': '([A-Z])',
  day: '([0-9]{2})',
};

function shapeOf(field: BatchCodeField): string {
  switch (field.kind) {
    case 'constant':
      return `(${normalForm(field.text)})`;
    case 'works':
      return `(${Object.keys(field.codes)
        .map((code) => normalForm(code))
        .join('|')})`;
    case 'serial':
      return `([0-9]{${field.digits}})`;
    default:
      return SHAPES[field.kind];
  }
}

/** Years a year field may stand for, none after `thisYear` but the next one, which is told as in the future. */
function yearsOf(field: BatchCodeField, code: string, thisYear: number): number[] {
  const back = (first: number, every: number) =>
    Array.from({ length: 60 }, (_, i) => first + i * every).filter((year) => year <= thisYear + 1);
  switch (field.kind) {
    case 'year-letter': {
      const place = field.letters.indexOf(code);
      return place < 0 ? [] : back(field.first + place, field.letters.length);
    }
    case 'year-digit':
      return back(1980 + Number(code), 10);
    case 'year-two-digits':
      return [2000 + Number(code)];
    default:
      return [];
  }
}

interface Fields {
  readonly month?: number;
  readonly week?: number;
  readonly day?: number;
}

/** First and last day a code of this year can mean; undefined where no calendar has such a day. */
function spanOf(year: number, { month, week, day }: Fields): { from: Day; to: Day } | undefined {
  if (week !== undefined) {
    if (week < 1 || week > weeksInYear(year)) return undefined;
    return weekOf(year, week);
  }
  if (month === undefined) return { from: dayOf(year, 1, 1), to: dayOf(year, 12, 31) };
  if (month < 1 || month > 12) return undefined;
  const last = daysInMonth(year, month);
  if (day === undefined) return { from: dayOf(year, month, 1), to: dayOf(year, month, last) };
  if (day < 1 || day > last) return undefined;
  return { from: dayOf(year, month, day), to: dayOf(year, month, day) };
}

/**
 * Reads a batch code by its maker's grammar, as of `today` (YYYY-MM-DD). Says when no such date exists, when it lies in the
 * future, and when the code is not of that scheme at all. Weeks are ISO weeks. Proof: Batch codes.
 */
export function readBatchCode(printed: string, grammar: BatchCodeGrammar, today: string): BatchCodeReading {
  const match = new RegExp(`^${grammar.fields.map(shapeOf).join('')}$`).exec(normalForm(printed));
  if (!match) return { kind: 'not-of-this-scheme', scheme: grammar.title };
  const codes = match.slice(1);
  const thisYear = Number(today.slice(0, 4));
  const codeOf = (kind: BatchCodeField['kind']) => codes[grammar.fields.findIndex((field) => field.kind === kind)];
  const number = (code: string | undefined) => (code === undefined ? undefined : Number(code));
  const letterField = grammar.fields.find((field) => field.kind === 'month-letter');
  const month =
    letterField === undefined ? number(codeOf('month')) : letterField.letters.indexOf(codeOf('month-letter')!) + 1;
  const [week, day] = [number(codeOf('week')), number(codeOf('day'))];
  const fields: Fields = {
    ...(month === undefined ? {} : { month }),
    ...(week === undefined ? {} : { week }),
    ...(day === undefined ? {} : { day }),
  };
  const yearAt = grammar.fields.findIndex(({ kind }) => kind.startsWith('year'));
  const years = yearAt < 0 ? [] : yearsOf(grammar.fields[yearAt]!, codes[yearAt]!, thisYear);
  const spans = years.flatMap((year) => {
    const span = spanOf(year, fields);
    return span ? [{ year, ...span }] : [];
  });
  const past = spans.filter(({ from }) => from <= today);
  const chosen = past.at(-1) ?? spans[0];
  const parts = grammar.fields.map((field, i) => ({
    code: codes[i]!,
    says: sayField(field, codes[i]!, chosen?.year ?? years.at(-1)),
  }));
  if (!chosen) return { kind: 'impossible', parts, why: whyImpossible(fields, codes[yearAt]) };
  return {
    kind: chosen.from > today ? 'future' : 'read',
    parts,
    from: chosen.from,
    to: chosen.to,
  };
}

function whyImpossible({ week, month, day }: Fields, yearCode: string | undefined): string {
  if (week !== undefined) return `No year that ${yearCode ?? ''} can mean has a week ${week}.`;
  if (month !== undefined && (month < 1 || month > 12)) return `There is no month ${month}.`;
  if (month !== undefined && day !== undefined) return `${MONTHS[month - 1]!} has no day ${day}.`;
  return `${yearCode ?? 'It'} stands for no year.`;
}

function sayField(field: BatchCodeField, code: string, year: number | undefined): string {
  switch (field.kind) {
    case 'constant':
      return 'the maker’s mark';
    case 'works':
      return field.codes[code] ?? code;
    case 'week':
      return `week ${Number(code)}`;
    case 'month':
      return MONTHS[Number(code) - 1] ?? `month ${code}`;
    case 'month-letter':
      return MONTHS[field.letters.indexOf(code)] ?? `${code} is no month`;
    case 'day':
      return `day ${Number(code)}`;
    case 'serial':
      return 'running number';
    default:
      return year === undefined ? `${code} is no year` : String(year);
  }
}
