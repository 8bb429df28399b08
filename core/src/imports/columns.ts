import { plausibleRange, type QuantityKind } from '../quantities/plausible-ranges.ts';
import { parseFigure } from '../quantities/parse-figure.ts';
import { toBase, unitOf, UNITS, type UnitId } from '../quantities/units.ts';

/** What a column of a supplier's list may hold. `left-out` is read as nothing. */
export const COLUMN_USES = [
  'number',
  'maker',
  'net-price',
  'our-price',
  'pack',
  'barcode',
  'equal-to',
  'gap',
  'reach',
  'hex',
  'thread',
  'seat',
  'heat',
  'electrode',
  'resistor',
  'left-out',
] as const;
export type ColumnUse = (typeof COLUMN_USES)[number];

export const COLUMN_USE_WORDS: Readonly<Record<ColumnUse, string>> = {
  number: 'part number',
  maker: 'maker',
  'net-price': 'what we pay, before tax',
  'our-price': 'our price, before tax',
  pack: 'sold in packs of',
  barcode: 'barcode',
  'equal-to': 'equal to, as they say',
  gap: 'gap',
  reach: 'reach',
  hex: 'hex',
  thread: 'thread',
  seat: 'seat',
  heat: 'heat rating',
  electrode: 'centre electrode',
  resistor: 'resistor',
  'left-out': 'left out',
};

/** Columns of figures: what each measures. */
export const FIGURE_USES = {
  gap: 'gap',
  reach: 'reach',
  hex: 'hex',
} as const satisfies Readonly<Partial<Record<ColumnUse, QuantityKind>>>;
export type FigureUse = keyof typeof FIGURE_USES;
export const FIGURE_USE_IDS = Object.keys(FIGURE_USES) as readonly FigureUse[];
export const isFigureUse = (use: ColumnUse): use is FigureUse => use in FIGURE_USES;

/** Units a column of lengths may be in. */
export const COLUMN_UNITS = ['mm', 'in', 'thou'] as const satisfies readonly UnitId[];
export type ColumnUnit = (typeof COLUMN_UNITS)[number];
export const unitWords = (unit: ColumnUnit): string =>
  ({ mm: 'mm', in: 'inches', thou: 'thousandths of an inch' })[unit];

/** How a column of a list is read. */
export interface Column {
  readonly heading: string;
  readonly use: ColumnUse;
  /** Of a column of figures, in what a bare figure is; undefined for other columns. */
  readonly unit?: ColumnUnit | undefined;
  /** A person said that the unit is meant, whatever the values look like. */
  readonly isUnitSaid?: boolean | undefined;
}

/** General words of headings, the most telling first. A use that one column has taken is not given to another. */
const HEADING_WORDS: readonly (readonly [ColumnUse, RegExp])[] = [
  ['equal-to', /equal|replaces|cross|reference|oe\b|oem|interchange/],
  ['barcode', /barcode|\bean\b|gtin|\bupc\b/],
  ['net-price', /\bnet\b|cost|trade|we pay/],
  ['our-price', /price|retail|\beach\b|£|€/],
  ['pack', /pack|box of|per box|\bmoq\b/],
  ['maker', /maker|brand|make\b|manufacturer/],
  ['gap', /gap/],
  ['reach', /reach|thread length/],
  ['hex', /hex|spanner|across flats/],
  ['thread', /thread/],
  ['seat', /seat/],
  ['heat', /heat/],
  ['electrode', /electrode|\btip\b/],
  ['resistor', /resist|suppress/],
  ['number', /number|\bno\b|art|part|item|code|sku/],
];

/** The unit that a heading names. */
export function unitInHeading(heading: string): ColumnUnit | undefined {
  const words = heading.toLowerCase().split(/[^a-zµ"″]+/);
  const found = words
    .map((word) => unitOf(word))
    .find((unit) => unit !== undefined && UNITS[unit].dimension === 'length-mm');
  return COLUMN_UNITS.find((unit) => unit === found);
}

/** How each column is read as far as its heading tells; a length without a unit is taken to be in mm, and held to it. */
export function guessColumns(headings: readonly string[]): readonly Column[] {
  const taken = new Map<number, ColumnUse>();
  for (const [use, words] of HEADING_WORDS) {
    const at = headings.findIndex((heading, i) => !taken.has(i) && words.test(heading.toLowerCase()));
    if (at >= 0) taken.set(at, use);
  }
  return headings.map((heading, i) => {
    const use = taken.get(i) ?? 'left-out';
    return isFigureUse(use) ? { heading, use, unit: unitInHeading(heading) ?? 'mm' } : { heading, use };
  });
}

export interface UnitAsked {
  /** Values that are none in the column's unit. */
  readonly beyond: number;
  readonly of: number;
  readonly low: number;
  readonly high: number;
  /** Another unit in which they are usual, with what they would be in mm. */
  readonly likely: ColumnUnit;
  readonly likelyLowMm: number;
  readonly likelyHighMm: number;
}

/** From so many values on a column speaks for itself. */
const LEAST_VALUES = 3;
const MOST_OF_THEM = 0.8;

/**
 * Whether a column's values deny the unit of its heading: of at least three, four fifths are not usual in it and are usual
 * in another. Undefined where nothing is to be asked. Source: shop, A shop's own catalogue.
 */
export function unitAsked({ use, unit, isUnitSaid }: Column, cells: readonly string[]): UnitAsked | undefined {
  if (!isFigureUse(use) || unit === undefined || isUnitSaid) return undefined;
  const bounds = plausibleRange(FIGURE_USES[use]);
  const usualIn = (value: number, in_: ColumnUnit) => {
    const mm = toBase(value, in_);
    return mm >= bounds.low - 1e-9 && mm <= bounds.high + 1e-9;
  };
  const values = cells.flatMap((cell) => {
    const read = parseFigure(cell);
    // What was written with its own unit is no evidence of the heading's.
    return read.kind === 'figure' && read.unit === undefined && read.ways[0] ? [read.ways[0].low] : [];
  });
  if (values.length < LEAST_VALUES) return undefined;
  const beyond = values.filter((value) => !usualIn(value, unit)).length;
  if (beyond < MOST_OF_THEM * values.length - 1e-9) return undefined;
  const likely = COLUMN_UNITS.find(
    (other) =>
      other !== unit && values.filter((value) => usualIn(value, other)).length >= MOST_OF_THEM * values.length - 1e-9,
  );
  if (likely === undefined) return undefined;
  const [low, high] = [Math.min(...values), Math.max(...values)];
  return {
    beyond,
    of: values.length,
    low,
    high,
    likely,
    likelyLowMm: toBase(low, likely),
    likelyHighMm: toBase(high, likely),
  };
}
