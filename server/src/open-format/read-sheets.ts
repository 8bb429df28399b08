import type { Readable } from 'node:stream';
import { CsvError, parse } from 'csv-parse';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';
import { LONGEST_LINE, WrongLine, type RawLine } from './open-lines.ts';
import { sheetsOfFormat, valueOf } from './sheet-cells.ts';

const MOST_ENTRIES = 200;
/** Of one sheet. Rows are read one by one; this is how far something small may unpack. */
const MOST_UNPACKED_BYTES = 512 * 1024 * 1024;
/** What stands where bytes are no letter. */
const NO_LETTER = '\ufffd';

const sheetName = (line: string): string => `${line}.csv`;
const DAMAGED = 'The file is packed, and damaged: it cannot be unpacked. Take it out anew.';

/** The lines of the sheets in a zip; undefined where it holds something else, a workbook say, or is damaged. */
export async function packedLines(bytes: Buffer): Promise<(() => AsyncGenerator<RawLine>) | undefined> {
  const found = await entriesOf(bytes).catch(() => undefined);
  return found?.entries.has(sheetName('catalogue')) ? () => linesOf(found) : undefined;
}

interface Found {
  readonly zip: ZipFile;
  readonly entries: ReadonlyMap<string, Entry>;
}

const entriesOf = (bytes: Buffer): Promise<Found> =>
  new Promise((resolve, reject) => {
    fromBuffer(bytes, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (error, zip) => {
      if (error) {
        reject(error);
        return;
      }
      const entries = new Map<string, Entry>();
      zip.on('error', reject);
      zip.on('end', () => resolve({ zip, entries }));
      zip.on('entry', (entry: Entry) => {
        // A folder that was packed as a whole holds the same sheets; what one system adds beside each file are none.
        if (!entry.fileName.startsWith('__MACOSX/')) entries.set(entry.fileName.split('/').at(-1)!, entry);
        if (entries.size > MOST_ENTRIES) resolve({ zip, entries: new Map<string, Entry>() });
        else zip.readEntry();
      });
      zip.readEntry();
    });
  });

async function* linesOf(found: Found): AsyncGenerator<RawLine> {
  for (const line of sheetsOfFormat().keys()) {
    const entry = found.entries.get(sheetName(line));
    if (entry) yield* rowsOf(found.zip, entry, line);
  }
}

const unpacked = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    if (entry.uncompressedSize > MOST_UNPACKED_BYTES) {
      reject(new WrongLine(`${entry.fileName}: unpacked it would be far larger than any catalogue.`));
      return;
    }
    // What an entry says of its size is held to while it is unpacked.
    zip.openReadStream(entry, (error, stream) => (error ? reject(new WrongLine(DAMAGED)) : resolve(stream)));
  });

async function* rowsOf(zip: ZipFile, entry: Entry, line: string): AsyncGenerator<RawLine> {
  const columns = new Map(
    sheetsOfFormat()
      .get(line)!
      .map((column) => [column.name, column]),
  );
  const headings = (found: readonly string[]): string[] => {
    const strange = found.find((heading) => !columns.has(heading));
    if (strange !== undefined) throw new WrongLine(`${entry.fileName}: no column of it is called “${strange}”.`);
    return [...found];
  };
  const parted = parse({ bom: true, columns: headings, skip_empty_lines: true, max_record_size: LONGEST_LINE });
  const stream = await unpacked(zip, entry);
  stream.on('error', () => parted.destroy(new WrongLine(DAMAGED)));
  let row = 1;
  try {
    for await (const record of stream.pipe(parted) as AsyncIterable<Record<string, string>>) {
      row += 1;
      const where = `${entry.fileName}, row ${row}`;
      const fields = Object.entries(record).map(([name, cell]) => {
        if (cell.includes(NO_LETTER))
          throw new WrongLine(`${where}, ${name}: not written in UTF-8, as the sheets are.`);
        try {
          return [name, valueOf(columns.get(name)!, cell)] as const;
        } catch {
          throw new WrongLine(`${where}, ${name}: no JSON.`);
        }
      });
      yield { where, value: { line, ...Object.fromEntries(fields.filter(([, value]) => value !== undefined)) } };
    }
  } catch (error) {
    if (error instanceof CsvError)
      throw new WrongLine(`${entry.fileName}, after row ${row}: its cells cannot be parted.`);
    throw error;
  } finally {
    stream.destroy();
  }
}
