import { PassThrough, Readable } from 'node:stream';
import { once } from 'node:events';
import { stringify } from 'csv-stringify/sync';
import yazl from 'yazl';
import { OpenLine } from '@brackenfell/contract/open-catalogue';
import type { Database } from '../db/database.ts';
import { readOpenLines } from './export-store.ts';

/** The fields of each kind of line, in the schema's order: what a sheet's columns are. */
const COLUMNS = new Map<string, readonly string[]>(
  OpenLine.options.map(({ shape }) => [shape.line.value, Object.keys(shape).filter((field) => field !== 'line')]),
);

/** What has parts of its own stands as JSON in one cell; what is not known is a blank. */
const cellOf = (value: unknown): string =>
  value === undefined ? '' : typeof value === 'string' ? value : JSON.stringify(value);

/** RFC 4180; what a spreadsheet would work out is text. */
const rowOf = (cells: readonly string[], bom = false): string =>
  stringify([[...cells]], { bom, record_delimiter: 'windows', escape_formulas: true });

/** The whole catalogue as CSV sheets in a zip, one a kind of line; made as it is read, and no faster than it is taken. */
export async function* zippedSheets(db: Database): AsyncGenerator<Uint8Array> {
  const zip = new yazl.ZipFile();
  const made = write(zip, db);
  // Its failure ends the reading, and is told by it.
  const out = Readable.from(zip.outputStream);
  made.catch((error: unknown) => out.destroy(error as Error));
  yield* out as AsyncIterable<Uint8Array>;
  await made;
}

async function write(zip: yazl.ZipFile, db: Database): Promise<void> {
  let kind = '';
  let sheet: PassThrough | undefined;
  for await (const { line, ...fields } of readOpenLines(db)) {
    const columns = COLUMNS.get(line)!;
    if (line !== kind) {
      sheet?.end();
      kind = line;
      sheet = new PassThrough();
      zip.addReadStream(sheet, `${line}.csv`);
      sheet.write(rowOf(columns, true));
    }
    const cells = columns.map((column) => cellOf((fields as Record<string, unknown>)[column]));
    if (!sheet!.write(rowOf(cells))) await once(sheet!, 'drain');
  }
  sheet?.end();
  zip.end();
}
