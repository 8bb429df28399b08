import { normalForm } from '../part-numbers/normal-form.ts';
import { readBarcode } from '../part-numbers/barcode.ts';
import { readQuantity } from '../quantities/read-quantity.ts';
import { FIGURE_USE_IDS, FIGURE_USES, isFigureUse, unitWords, type Column, type FigureUse } from './columns.ts';
import { readTold, TOLD_USES, type Stated, type ToldUse } from './told.ts';

/** A row of a list as it was read; what is blank states nothing. */
export interface ReadRow {
  readonly number: string;
  readonly maker?: string | undefined;
  /** Money in minor units, before tax. */
  readonly netMinor?: number | undefined;
  readonly ourMinor?: number | undefined;
  readonly packOf?: number | undefined;
  readonly barcode?: string | undefined;
  readonly equalTo?: string | undefined;
  /** Lengths in mm. */
  readonly figuresMm: Readonly<Partial<Record<FigureUse, number>>>;
  /** What is told by words and codes, by column. A row that an earlier release read has none. */
  readonly told?: Readonly<Partial<Record<ToldUse, readonly Stated[]>>> | undefined;
  /** Why it cannot be taken at all. */
  readonly invalid: readonly string[];
  /** What a person has to look at first. */
  readonly doubtful: readonly string[];
}

export type DecimalMark = '.' | ',';

/** The mark before the decimals of a column of amounts; undefined where its values do not tell. */
export function decimalMark(cells: readonly string[]): DecimalMark | undefined {
  const ends = (mark: RegExp) => cells.some((cell) => mark.test(cell.trim()));
  const [point, comma] = [ends(/\.\d{1,2}$/), ends(/,\d{1,2}$/)];
  return point === comma ? undefined : point ? '.' : ',';
}

export type MoneyRead =
  | { readonly kind: 'minor'; readonly minor: number }
  | { readonly kind: 'asked' | 'unreadable'; readonly says: string };

/** An amount with its thousands in threes, before the decimals one mark and between the thousands the other. */
const AMOUNTS: Readonly<Record<DecimalMark, RegExp>> = {
  '.': /^(\d+|\d{1,3}(?:,\d{3})+)(?:\.(\d+))?$/,
  ',': /^(\d+|\d{1,3}(?:\.\d{3})+)(?:,(\d+))?$/,
};

/** An amount of money as a list writes it, in minor units. What may be read in two ways is asked, never guessed. */
export function readMoney(cell: string, mark: DecimalMark | undefined): MoneyRead {
  const bare = cell.replaceAll(/[£€$\s\u00a0]/g, '');
  const ways = (['.', ','] as const).flatMap((one) => {
    const read = AMOUNTS[one].exec(bare);
    return read ? [{ one, value: Number(`${read[1]!.replaceAll(/[.,]/g, '')}.${read[2] ?? '0'}`) }] : [];
  });
  const own = mark === undefined ? ways : ways.filter(({ one }) => one === mark);
  const values = new Set(own.map(({ value }) => value));
  const [value] = values;
  if (ways.length === 0) return { kind: 'unreadable', says: `“${cell.trim()}” is no amount` };
  if (value === undefined)
    return { kind: 'asked', says: `${bare} has another mark before its decimals than its column` };
  // Nothing before the mark: no thousands begin so.
  if (values.size > 1 && !/^0[.,]/.test(bare)) return { kind: 'asked', says: `${bare} may be thousands or decimals` };
  const amount = Math.min(...values);
  return amount > 0
    ? { kind: 'minor', minor: Math.round(amount * 100) }
    : { kind: 'unreadable', says: 'an amount of nothing' };
}

const MOST_IN_A_PACK = 100;
const LONGEST_NUMBER = 40;
/** What a spreadsheet would work out instead of show. */
const FORMULA = /^[=@]/;

interface ReadOptions {
  readonly mark: DecimalMark | undefined;
  /** Columns whose unit is asked of a person and not told yet: nothing is read from them. */
  readonly asked: ReadonlySet<number>;
}

/** Reads one row by its columns. Nothing is left out silently: what does not read says why. */
export function readRow(cells: readonly string[], columns: readonly Column[], { mark, asked }: ReadOptions): ReadRow {
  const invalid: string[] = [];
  const doubtful: string[] = [];
  const textOf = (use: Column['use']): string | undefined => {
    const at = columns.findIndex((column) => column.use === use);
    const cell = at < 0 ? '' : (cells[at] ?? '').trim();
    if (cell === '') return undefined;
    if (!FORMULA.test(cell)) return cell;
    invalid.push(`${columns[at]!.heading}: a formula, not a value`);
    return undefined;
  };
  const moneyOf = (use: 'net-price' | 'our-price'): number | undefined => {
    const cell = textOf(use);
    const read = cell === undefined ? undefined : readMoney(cell, mark);
    if (read?.kind === 'asked') doubtful.push(read.says);
    if (read?.kind === 'unreadable') invalid.push(read.says);
    return read?.kind === 'minor' ? read.minor : undefined;
  };
  const number = textOf('number') ?? '';
  if (normalForm(number) === '' && invalid.length === 0) invalid.push('no part number');
  if (number.length > LONGEST_NUMBER) invalid.push(`a number of ${number.length} characters`);
  const packOf = (): number | undefined => {
    const pack = textOf('pack');
    const many = Number(pack);
    if (pack === undefined || (Number.isInteger(many) && many >= 1 && many <= MOST_IN_A_PACK))
      return pack === undefined ? undefined : many;
    invalid.push(`packs of “${pack}”`);
    return undefined;
  };
  const code = textOf('barcode');
  const barcode = code === undefined ? undefined : readBarcode(code);
  if (barcode?.kind === 'wrong-check-digit')
    invalid.push(`barcode ${barcode.digits}: its check digit would be ${barcode.expected}`);
  if (barcode?.kind === 'not-a-barcode') invalid.push(`“${code}” is no barcode`);
  const figuresMm = Object.fromEntries(
    FIGURE_USE_IDS.flatMap((use) => {
      const read = figureOf(use, cells, columns, asked);
      if (read === undefined) return [];
      if (typeof read === 'number') return [[use, read]];
      doubtful.push(read.says);
      return [];
    }),
  );
  const told = Object.fromEntries(
    TOLD_USES.flatMap((use) => {
      const cell = textOf(use);
      if (cell === undefined) return [];
      const read = readTold(use, cell);
      if (read.kind === 'told') return [[use, read.stated]];
      doubtful.push(read.says);
      return [];
    }),
  );
  return {
    number,
    maker: textOf('maker'),
    netMinor: moneyOf('net-price'),
    ourMinor: moneyOf('our-price'),
    packOf: packOf(),
    barcode: barcode?.kind === 'barcode' ? barcode.digits : undefined,
    equalTo: textOf('equal-to'),
    figuresMm,
    ...(Object.keys(told).length > 0 ? { told } : {}),
    invalid,
    doubtful,
  };
}

/** One length in mm; undefined where nothing is stated, or the question why it is not taken. */
function figureOf(
  use: FigureUse,
  cells: readonly string[],
  columns: readonly Column[],
  asked: ReadonlySet<number>,
): number | { readonly says: string } | undefined {
  const at = columns.findIndex((column) => column.use === use);
  const column = columns[at];
  const cell = (cells[at] ?? '').trim();
  if (column === undefined || cell === '' || !isFigureUse(column.use) || column.unit === undefined) return undefined;
  if (asked.has(at)) return { says: `${use} ${cell}: ${unitWords(column.unit)}?` };
  const isBare = /^[\d.,\s/–-]+$/.test(cell);
  const read = readQuantity(isBare ? `${cell} ${column.unit}` : cell, FIGURE_USES[use], {
    as: 'specification',
    told: true,
  });
  switch (read.kind) {
    case 'read':
      return read.low === read.high
        ? read.low
        : { says: `${use} ${cell}: a range, where one figure is stated of a part` };
    case 'asked':
      return { says: `${use}: ${read.question}` };
    case 'open':
      return { says: `${use}: “${cell}” is no figure` };
    case 'unreadable':
      return { says: `${use}: ${read.why}` };
  }
}
