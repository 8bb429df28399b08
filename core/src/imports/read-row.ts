import { normalForm } from '../part-numbers/normal-form.ts';
import { readBarcode } from '../part-numbers/barcode.ts';
import { readQuantity } from '../quantities/read-quantity.ts';
import { FIGURE_USE_IDS, FIGURE_USES, unitWords, type Column, type ColumnUnit, type FigureUse } from './columns.ts';
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

/** So many different cells of a column are remembered. */
const MOST_REMEMBERED = 5000;

/** A cell that was read before is answered from memory: the rows of a list say the same again and again. */
function remembering<T extends object | number>(read: (cell: string) => T): (cell: string) => T {
  const known = new Map<string, T>();
  return (cell) => {
    const before = known.get(cell);
    if (before !== undefined) return before;
    if (known.size >= MOST_REMEMBERED) known.clear();
    const found = read(cell);
    known.set(cell, found);
    return found;
  };
}

/** How the rows of a list are read by its columns. Nothing is left out silently: what does not read says why. */
export function rowReader(
  columns: readonly Column[],
  { mark, asked }: ReadOptions,
): (cells: readonly string[]) => ReadRow {
  const placeOf = new Map([...columns.entries()].reverse().map(([at, { use }]) => [use, at]));
  const money = remembering((cell) => readMoney(cell, mark));
  const figures = FIGURE_USE_IDS.flatMap((use) => {
    const at = placeOf.get(use);
    const unit = at === undefined ? undefined : columns[at]!.unit;
    if (at === undefined || unit === undefined) return [];
    return [{ use, at, read: remembering((cell) => readFigure(use, cell, unit, asked.has(at))) }];
  });
  const told = TOLD_USES.filter((use) => placeOf.has(use)).map((use) => ({
    use,
    read: remembering((cell) => readTold(use, cell)),
  }));
  return (cells) => {
    const invalid: string[] = [];
    const doubtful: string[] = [];
    const textOf = (use: Column['use']): string | undefined => {
      const at = placeOf.get(use);
      const cell = at === undefined ? '' : (cells[at] ?? '').trim();
      if (cell === '') return undefined;
      if (!FORMULA.test(cell)) return cell;
      invalid.push(`${columns[at!]!.heading}: a formula, not a value`);
      return undefined;
    };
    const moneyOf = (use: 'net-price' | 'our-price'): number | undefined => {
      const cell = textOf(use);
      const read = cell === undefined ? undefined : money(cell);
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
    const figuresMm: Partial<Record<FigureUse, number>> = {};
    for (const { use, at, read } of figures) {
      const cell = (cells[at] ?? '').trim();
      const found = cell === '' ? undefined : read(cell);
      if (typeof found === 'number') figuresMm[use] = found;
      else if (found) doubtful.push(found.says);
    }
    const saidIn: Partial<Record<ToldUse, readonly Stated[]>> = {};
    for (const { use, read } of told) {
      const cell = textOf(use);
      const found = cell === undefined ? undefined : read(cell);
      if (found?.kind === 'told') saidIn[use] = found.stated;
      else if (found) doubtful.push(found.says);
    }
    return {
      number,
      maker: textOf('maker'),
      netMinor: moneyOf('net-price'),
      ourMinor: moneyOf('our-price'),
      packOf: packOf(),
      barcode: barcode?.kind === 'barcode' ? barcode.digits : undefined,
      equalTo: textOf('equal-to'),
      figuresMm,
      ...(Object.keys(saidIn).length > 0 ? { told: saidIn } : {}),
      invalid,
      doubtful,
    };
  };
}

/** One length in mm, or the question why it is not taken. */
function readFigure(
  use: FigureUse,
  cell: string,
  unit: ColumnUnit,
  isAsked: boolean,
): number | { readonly says: string } {
  if (isAsked) return { says: `${use} ${cell}: ${unitWords(unit)}?` };
  const isBare = /^[\d.,\s/–-]+$/.test(cell);
  const read = readQuantity(isBare ? `${cell} ${unit}` : cell, FIGURE_USES[use], { as: 'specification', told: true });
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
