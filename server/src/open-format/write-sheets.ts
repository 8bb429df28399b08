import { PassThrough, Readable } from 'node:stream';
import { once } from 'node:events';
import { stringify } from 'csv-stringify/sync';
import yazl from 'yazl';
import type { Database } from '../db/database.ts';
import { readOpenLines } from './export-store.ts';
import { cellOf, sheetsOfFormat } from './sheet-cells.ts';

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
    const columns = sheetsOfFormat()
      .get(line)!
      .map(({ name }) => name);
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
