import { unitAsked, type Column } from './columns.ts';
import { decimalMark, rowReader, type ReadRow } from './read-row.ts';

interface Cells {
  readonly cells: readonly string[];
  /** Why it is no row at all. */
  readonly broken?: string | null;
}

/**
 * How the rows of a list are read by its columns: the mark before its decimals, and the units that are asked of a person
 * first, both judged by the cells of its first rows; and for each column the first cell that states something.
 */
export function readingOf(columns: readonly Column[], sample: readonly (readonly string[])[]) {
  const cellsOf = (i: number) => sample.map((cells) => cells[i] ?? '');
  const asked = columns.map((column, i) => unitAsked(column, cellsOf(i)) ?? null);
  const waits = new Set(asked.flatMap((one, i) => (one ? [i] : [])));
  const priced = columns.flatMap(({ use }, i) => (use === 'net-price' || use === 'our-price' ? [i] : []));
  const mark = decimalMark(priced.flatMap(cellsOf));
  const readRow = rowReader(columns, { mark, asked: waits });
  const read = ({ cells, broken }: Cells): ReadRow => {
    const wrong =
      broken ??
      (cells.slice(columns.length).some(Boolean) ? `${cells.length} cells under ${columns.length} headings` : null);
    return wrong === null ? readRow(cells) : { number: cells[0] ?? '', figuresMm: {}, invalid: [wrong], doubtful: [] };
  };
  const firsts = columns.map((_, i) => cellsOf(i).find((cell) => cell !== '') ?? '');
  return { asked, firsts, read };
}
export type ListReading = ReturnType<typeof readingOf>;
