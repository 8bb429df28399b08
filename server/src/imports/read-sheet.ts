import type ExcelJS from 'exceljs';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';
import { UnreadableList } from './unreadable-list.ts';

/** A spreadsheet may hold so much once it is unpacked. */
const MOST_UNPACKED_BYTES = 96 * 1024 * 1024;
const MOST_ROWS = 200_000;

/** Reads the first sheet of a workbook: what cells show, never what they would work out. */
export async function readSheet(
  bytes: Buffer,
): Promise<readonly { readonly line: number; readonly cells: readonly string[] }[]> {
  await measure(bytes);
  // Fetched when a workbook comes: loading it is a fifth of a server’s start.
  const { default: excel } = await import('exceljs');
  const book = new excel.Workbook();
  try {
    await book.xlsx.load(bytes as unknown as ArrayBuffer);
  } catch {
    throw new UnreadableList('The spreadsheet cannot be opened. Save it anew as XLSX or CSV and send it again.');
  }
  const sheet = book.worksheets[0];
  if (!sheet) throw new UnreadableList('The workbook has no sheet.');
  if (sheet.rowCount > MOST_ROWS)
    throw new UnreadableList(`${sheet.rowCount} rows: a spreadsheet has at most ${MOST_ROWS} here. Save it as CSV.`);
  const rows: { line: number; cells: string[] }[] = [];
  sheet.eachRow((row, line) => {
    const cells = Array.from({ length: row.cellCount }, (_, i) => shown(row.getCell(i + 1).value));
    rows.push({ line, cells });
  });
  return rows;
}

/** What a cell shows. Of a formula its last result, which is data; a formula without one is shown as it is, and refused as such. */
function shown(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value !== 'object') return String(value);
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('error' in value) return '';
  if ('hyperlink' in value) return value.text;
  const { result, formula } = value as { result?: ExcelJS.CellValue; formula?: string };
  return result === undefined ? `=${formula ?? ''}` : shown(result);
}

/** Unpacks everything once and counts it, so that nothing small becomes something vast in memory. */
async function measure(bytes: Buffer): Promise<void> {
  const zip = await new Promise<ZipFile>((resolve, reject) => {
    fromBuffer(bytes, { lazyEntries: true, validateEntrySizes: true }, (error, opened) => {
      if (error) reject(new UnreadableList('The file is packed, but cannot be unpacked. Send it as XLSX or CSV.'));
      else resolve(opened);
    });
  });
  let size = 0;
  await new Promise<void>((resolve, reject) => {
    zip.on('error', () => reject(new UnreadableList('The spreadsheet is damaged. Save it anew and send it again.')));
    zip.on('end', resolve);
    zip.on('entry', (entry: Entry) => {
      zip.openReadStream(entry, (error, stream) => {
        if (error) {
          reject(new UnreadableList('The spreadsheet is damaged. Save it anew and send it again.'));
          return;
        }
        stream.on('data', (part: Buffer) => {
          size += part.length;
          if (size > MOST_UNPACKED_BYTES) {
            stream.destroy();
            zip.close();
            reject(new UnreadableList('Unpacked it would be far larger than any list. Send it as CSV.'));
          }
        });
        stream.on('error', () =>
          reject(new UnreadableList('The spreadsheet is damaged. Save it anew and send it again.')),
        );
        stream.on('end', () => zip.readEntry());
      });
    });
    zip.readEntry();
  });
}
