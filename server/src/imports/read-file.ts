import { finished } from 'node:stream/promises';
import { parse } from 'csv-parse';
import { readSheet } from './read-sheet.ts';
import { UnreadableList } from './unreadable-list.ts';

/** A row as it stands in the file. */
export interface FileRow {
  /** The heading being 1. */
  readonly line: number;
  readonly cells: readonly string[];
  /** Why it is no row at all. */
  readonly broken?: string | null;
}

export interface ListFile {
  /** What the file is, in words. */
  readonly form: string;
  readonly headings: readonly string[];
  /** How many rows there are, give or take a few: for saying how far one is. */
  readonly rowsAbout: number;
  /** In handfuls, as they come. */
  readonly rows: AsyncIterable<readonly FileRow[]> | Iterable<readonly FileRow[]>;
}

const LONGEST_CELL = 400;
const LONGEST_RECORD = 100_000;
const MOST_COLUMNS = 200;

/** Control characters, and halves of a character: what no database keeps. */
// oxlint-disable-next-line no-control-regex -- control characters are exactly what is taken out
const UNKEPT = /[\u0000-\u001f\u007f\ufffe\uffff\p{Surrogate}]+/gu;

/** A cell without what no database keeps, and no longer than a person would read. */
function clean(cell: string): string {
  const plain = cell.replaceAll(UNKEPT, ' ').trim();
  // Never through the middle of a character.
  return plain.length > LONGEST_CELL ? `${plain.slice(0, LONGEST_CELL - 1).replace(/[\ud800-\udbff]$/, '')}…` : plain;
}

/** Reads a supplier's list of any kind: XLSX, JSON lines, or text with one of the usual delimiters in one of the usual encodings. */
export async function readList(bytes: Buffer): Promise<ListFile> {
  if (bytes.length === 0) throw new UnreadableList('The file is empty.');
  if (bytes.subarray(0, 4).equals(Buffer.from([0x50, 0x4b, 0x03, 0x04]))) return fromSheet(bytes);
  const { text, letters } = decode(bytes);
  return /^\s*\{/.test(text) ? fromJsonLines(text, letters) : fromText(text, letters);
}

/** The file's letters: by its mark; else UTF-8 where it is that throughout; else what spreadsheets of western Europe write. */
function decode(bytes: Buffer): { readonly text: string; readonly letters: string } {
  const read = (encoding: string, fatal = false) => new TextDecoder(encoding, { fatal }).decode(bytes);
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: read('utf-16le'), letters: 'UTF-16' };
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return { text: read('utf-16be'), letters: 'UTF-16' };
  const sample = bytes.subarray(0, 4000);
  const zeros = (odd: number) => sample.filter((byte, i) => i % 2 === odd && byte === 0).length;
  if (zeros(1) > sample.length / 4) return { text: read('utf-16le'), letters: 'UTF-16' };
  if (zeros(0) > sample.length / 4) return { text: read('utf-16be'), letters: 'UTF-16' };
  try {
    return { text: read('utf-8', true), letters: 'UTF-8' };
  } catch {
    return { text: read('windows-1252'), letters: 'Windows-1252' };
  }
}

const DELIMITERS = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' } as const;
type Delimiter = keyof typeof DELIMITERS;

const options = (delimiter: Delimiter) => ({
  delimiter,
  bom: true,
  relax_column_count: true,
  skip_empty_lines: true,
  // A row of blanks states nothing, in text as in a sheet.
  skip_records_with_empty_values: true,
  max_record_size: LONGEST_RECORD,
  info: true as const,
});

/** What stands between the cells: of the first lines, what parts them into most cells of one count. */
async function sniff(text: string): Promise<Delimiter> {
  const head = text.slice(0, 20_000).split(/\r?\n/).slice(0, 20);
  const scores = await Promise.all(
    (Object.keys(DELIMITERS) as Delimiter[]).map(async (delimiter) => {
      const counts: number[] = [];
      try {
        for await (const { record } of parse(head.join('\n'), {
          ...options(delimiter),
          relax_quotes: true,
        }) as AsyncIterable<{
          record: string[];
        }>)
          counts.push(record.length);
      } catch {
        // The head may end inside quotes: what came until then counts.
      }
      const first = counts[0] ?? 1;
      return { delimiter, score: first > 1 ? first * counts.filter((count) => count === first).length : 0 };
    }),
  );
  return scores.reduce((best, one) => (one.score > best.score ? one : best)).delimiter;
}

async function fromText(text: string, letters: string): Promise<ListFile> {
  const delimiter = await sniff(text);
  const handfuls = textRows(text, delimiter);
  const first = await handfuls.next();
  if (first.done) throw new UnreadableList('The file has no rows.');
  const [heading, ...rest] = first.value;
  async function* rows(): AsyncGenerator<readonly FileRow[]> {
    yield rest;
    yield* handfuls;
  }
  return {
    form: `${DELIMITERS[delimiter]} between cells, ${letters}`,
    headings: headingsOf(heading!.cells),
    rowsAbout: linesIn(text),
    rows: rows(),
  };
}

function linesIn(text: string): number {
  let lines = 1;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) lines += 1;
  return lines;
}

const PIECE = 64 * 1024;

/** A text piece by piece, so that no more of it is parted into cells than is asked for. */
function* piecesOf(text: string): Generator<string> {
  for (let i = 0; i < text.length; i += PIECE) yield text.slice(i, i + PIECE);
}

async function* textRows(text: string, delimiter: Delimiter): AsyncGenerator<readonly FileRow[], void> {
  const parted = parse(options(delimiter));
  let handful: FileRow[] = [];
  const take = (): readonly FileRow[] => {
    const taken = handful;
    handful = [];
    return taken;
  };
  // Heard one by one: each of a million rows would else be waited for.
  parted.on('data', ({ record, info }: { record: string[]; info: { lines: number } }) => {
    handful.push({ line: info.lines, cells: record.map(clean) });
  });
  const ended = finished(parted);
  // It is heard of below, where it is waited for.
  ended.catch(() => undefined);
  try {
    for (const piece of piecesOf(text)) {
      await new Promise<void>((resolve, reject) => parted.write(piece, (error) => (error ? reject(error) : resolve())));
      if (handful.length > 0) yield take();
    }
    parted.end();
    await ended;
  } catch (error) {
    throw new UnreadableList(sayParse(error));
  }
  if (handful.length > 0) yield take();
}

/** Why text does not part into cells, in words of the one who sent it. */
function sayParse(error: unknown): string {
  const { code, lines } = error as { code?: string; lines?: number };
  const at = lines === undefined ? '' : ` near line ${lines}`;
  switch (code) {
    case 'CSV_QUOTE_NOT_CLOSED':
      return `A quotation mark is opened and never closed${at}. Mend the file and send it again.`;
    case 'CSV_MAX_RECORD_SIZE':
      return `One row is longer than ${LONGEST_RECORD} characters${at}: the file is no list, or a quotation mark is missing.`;
    default:
      return `The rows cannot be parted into cells${at}. Save it as CSV or XLSX and send it again.`;
  }
}

async function fromSheet(bytes: Buffer): Promise<ListFile> {
  const rows = (await readSheet(bytes)).map(({ line, cells }) => ({ line, cells: cells.map(clean) }));
  const [first, ...rest] = rows.filter(({ cells }) => cells.some((cell) => cell !== ''));
  if (!first) throw new UnreadableList('The first sheet has no rows.');
  return { form: 'spreadsheet', headings: headingsOf(first.cells), rowsAbout: rest.length, rows: inHandfuls(rest) };
}

const HANDFUL = 1000;

function* inHandfuls(rows: Iterable<FileRow>): Generator<readonly FileRow[]> {
  let handful: FileRow[] = [];
  for (const row of rows) {
    handful.push(row);
    if (handful.length < HANDFUL) continue;
    yield handful;
    handful = [];
  }
  if (handful.length > 0) yield handful;
}

const HEAD_LINES = 100;

function fromJsonLines(text: string, letters: string): ListFile {
  const head = [...recordsOf(text, HEAD_LINES)];
  const headings = [...new Set(head.flatMap(({ record }) => Object.keys(record ?? {})))];
  const cellOf = (value: unknown): string =>
    typeof value === 'string' ? value : value === null || value === undefined ? '' : JSON.stringify(value);
  function* rows(): Generator<FileRow> {
    for (const { line, raw, record } of recordsOf(text)) {
      if (record === undefined) {
        yield { line, cells: [clean(raw)], broken: 'no JSON object' };
        continue;
      }
      const cells = headings.map((heading) => clean(cellOf(record[heading])));
      // As in text and in sheets: a row of blanks states nothing.
      if (cells.some((cell) => cell !== '')) yield { line, cells };
    }
  }
  return {
    form: `JSON lines, ${letters}`,
    headings: headingsOf(headings),
    rowsAbout: linesIn(text),
    rows: inHandfuls(rows()),
  };
}

/** The objects of a text of JSON lines, of its first lines or of all; blank lines are passed over. */
function* recordsOf(text: string, most = Infinity) {
  for (let at = 0, line = 1; at < text.length && line <= most; line += 1) {
    const end = text.indexOf('\n', at);
    const raw = text.slice(at, end < 0 ? undefined : end).trimEnd();
    at = end < 0 ? text.length : end + 1;
    if (raw.trim() !== '') yield { line, raw, record: objectOf(raw) };
  }
}

function objectOf(raw: string): Readonly<Record<string, unknown>> | undefined {
  try {
    const read: unknown = JSON.parse(raw);
    return typeof read === 'object' && read !== null && !Array.isArray(read)
      ? (read as Record<string, unknown>)
      : undefined;
  } catch {
    return undefined;
  }
}

function headingsOf(cells: readonly string[]): readonly string[] {
  if (cells.length > MOST_COLUMNS)
    throw new UnreadableList(`${cells.length} columns: a list has at most ${MOST_COLUMNS}.`);
  return cells.map((cell, i) => clean(cell) || `column ${i + 1}`);
}
