import { stringify } from 'csv-stringify/sync';
import type { Express } from 'express';
import { exportSlips, exportStock } from '@brackenfell/contract/books';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { soldPage, stockPage } from './books-store.ts';

type Cell = string | number | null;

/** RFC 4180 in UTF-8 with its mark; amounts with a point, in the shop's currency; what a spreadsheet would work out is text. */
const sheet = (rows: readonly (readonly Cell[])[], bom = false): string =>
  stringify([...rows], { bom, record_delimiter: 'windows', escape_formulas: true });
const amount = (minor: number | null): string | null => (minor === null ? null : (minor / 100).toFixed(2));

/** A sheet row by row: a page is read when the one before has been taken. */
async function* pages<R extends { readonly id: string }>(
  headings: readonly string[],
  read: (after: string) => Promise<readonly R[]>,
  cells: (row: R) => readonly Cell[],
): AsyncGenerator<string> {
  yield sheet([headings], true);
  for (let after = '0'; ;) {
    const rows = await read(after);
    if (rows.length === 0) return;
    yield sheet(rows.map(cells));
    after = rows.at(-1)!.id;
  }
}

/** The shop's own figures as sheets: for the books, and for whoever counts the shelf. */
export function bookRoutes(app: Express, context: Context): void {
  serve(app, context, exportStock, ({ db }) =>
    Promise.resolve(
      pages(
        ['number', 'maker', 'kind', 'on hand', 'bin', 'price each', 'pack of'],
        (after) => stockPage(db, after),
        (row) => [row.number, row.maker, row.kind, row.on_hand, row.bin, amount(row.each_minor), row.pack_of],
      ),
    ),
  );
  serve(app, context, exportSlips, ({ db, query }) =>
    Promise.resolve(
      pages(
        ['slip', 'state', 'day', 'number', 'maker', 'sold or own', 'quantity', 'price each', 'tax %'],
        (after) => soldPage(db, query, after),
        (row) => [
          String(row.docket).padStart(5, '0'),
          row.state,
          row.day,
          row.number,
          row.maker,
          row.kind === 'sale' ? 'sold' : 'own',
          row.quantity,
          amount(row.unit_price_minor),
          row.tax_basis_points / 100,
        ],
      ),
    ),
  );
}
