import { guessColumns, unitAsked } from '@brackenfell/core/imports/columns';
import { decimalMark, readRow, type ReadRow } from '@brackenfell/core/imports/read-row';
import { HEAPS, type Heap } from '@brackenfell/core/imports/sort-row';
import { counted } from '@brackenfell/core/words/counted';
import { askForAuditAfter } from '../audit/store.ts';
import type { Database, Writing } from '../db/database.ts';
import { lockAllClusters } from '../interchange/cluster-store.ts';
import { readMakers } from './held-store.ts';
import { placeRows, type PlacedRow } from './place-rows.ts';
import { readList, type FileRow } from './read-file.ts';
import {
  addRows,
  askOfTwice,
  countHeaps,
  dropFile,
  dropRows,
  findImport,
  keepPlaced,
  LEFT_AT,
  madeFacts,
  moveTo,
  readFileOf,
  readGone,
  readRemembered,
  readRows,
  readSample,
  sumOfRows,
  type ImportFound,
} from './store.ts';
import { InTheWay, takeBackList } from './take-back-store.ts';
import { UnreadableList } from './unreadable-list.ts';
import { writeList } from './write-store.ts';

type Step = (share: number, doing: string) => Promise<void>;

const PAGE = 1000;
/** So many rows tell what a column is. */
const SAMPLE = 5000;

/** Brings an import on from the state it is in, whoever left it there; gives what it came to. */
export async function workImport(db: Database, importId: string, step: Step): Promise<string> {
  const list = (await findImport(db, importId))!;
  switch (list.state) {
    case 'reading':
      await readIn(db, list, step);
      return sortAll(db, (await findImport(db, importId))!, step);
    case 'sorting':
      return sortAll(db, list, step);
    case 'writing':
      return write(db, list, step);
    case 'taking-back':
      return takeBack(db, list, step);
    default:
      return 'Nothing was left to do.';
  }
}

/** Where an import did not come to its end: what was to be written is not, and it can be gone on with from what is sorted. */
export async function leaveImport(
  db: Database,
  importId: string,
  why: 'cancelled' | 'failed',
  error: unknown,
): Promise<string> {
  const { state, outcome: before } = (await findImport(db, importId))!;
  const left = LEFT_AT[state];
  // Its work was done, and only the telling of it failed.
  if (!left) return before ?? '';
  const isSaid = error instanceof UnreadableList || error instanceof InTheWay;
  const outcome = isSaid ? error.message : why === 'cancelled' ? left.stopped : left.failed;
  // What could not be read is sent anew.
  if (state === 'reading') await dropFile(db, importId);
  await moveTo(db, importId, left.state, { outcome });
  return outcome;
}

/** Reads the file into rows. Begun again from nothing where it was broken off. */
async function readIn(db: Database, list: ImportFound, step: Step): Promise<void> {
  await step(0, 'reading the file');
  const file = await readList(await readFileOf(db, list.id));
  const known = await readRemembered(db, list.supplier);
  const isRemembered = file.headings.every((heading) => known.some((column) => column.heading === heading));
  const columns = isRemembered
    ? file.headings.map((heading) => known.find((column) => column.heading === heading)!)
    : guessColumns(file.headings);
  await db.transaction().execute(async (trx) => {
    await dropRows(trx, list.id);
    let page: FileRow[] = [];
    let read = 0;
    const keep = async () => {
      await addRows(trx, list.id, page);
      read += page.length;
      page = [];
      await step(0.4, `${counted(read, 'row')} read`);
    };
    for await (const row of file.rows) {
      page.push(row);
      if (page.length === PAGE) await keep();
    }
    await keep();
    if (read === 0) throw new UnreadableList('The file has headings and no rows.');
    await moveTo(trx, list.id, 'sorting', {
      form: file.form,
      columns: JSON.stringify(columns),
      is_remembered: isRemembered && known.length > 0,
      row_count: read,
      outcome: null,
    });
    await dropFile(trx, list.id);
  });
}

/** Sorts all rows; a reader finds the rows of before or of after. */
async function sortAll(db: Database, list: ImportFound, step: Step): Promise<string> {
  await step(0.4, 'sorting');
  return db.transaction().execute(async (trx) => {
    const counts = await sortRows(trx, list, (done, says) => step(0.4 + 0.5 * done, says));
    return HEAPS.map((heap) => `${counts[heap]} ${heap}`).join(', ');
  });
}

/** Lays every row beside what is held now, in the caller's transaction, which leaves the import sorted. */
async function sortRows(trx: Writing, list: ImportFound, step: Step): Promise<Readonly<Record<Heap, number>>> {
  const { id, columns, supplier } = list;
  const [makers, sample] = [await readMakers(trx), await readSample(trx, id, SAMPLE)];
  const cellsOf = (i: number) => sample.map((cells) => cells[i] ?? '');
  const asked = columns.map((column, i) => unitAsked(column, cellsOf(i)) ?? null);
  const waits = new Set(asked.flatMap((one, i) => (one ? [i] : [])));
  const priced = columns.flatMap(({ use }, i) => (use === 'net-price' || use === 'our-price' ? [i] : []));
  const mark = decimalMark(priced.flatMap(cellsOf));
  const readCells = ({ cells, broken }: { cells: readonly string[]; broken: string | null }): ReadRow => {
    const wrong =
      broken ??
      (cells.slice(columns.length).some(Boolean) ? `${cells.length} cells under ${columns.length} headings` : null);
    return wrong === null
      ? readRow(cells, columns, { mark, asked: waits })
      : { number: cells[0] ?? '', figuresMm: {}, invalid: [wrong], doubtful: [] };
  };
  let done = 0;
  for (let after = -1; ;) {
    const rows = await readRows(trx, id, after, PAGE);
    const placed = await placeRows(
      trx,
      makers,
      supplier,
      rows.map((row) => ({ line: row.line, read: readCells(row) })),
    );
    await keepPlaced(trx, id, rows, list.new_kind === null ? placed.map(waitForKind) : placed);
    done += rows.length;
    await step(done / Math.max(1, list.row_count), `${counted(done, 'row')} sorted`);
    if (rows.length < PAGE) break;
    after = rows.at(-1)!.line;
  }
  await askOfTwice(trx, id);
  const counts = await countHeaps(trx, id);
  await moveTo(trx, id, 'sorted', {
    counts: JSON.stringify(counts),
    asked: JSON.stringify(asked),
    firsts: columns.map((_, i) => cellsOf(i).find((cell) => cell !== '') ?? ''),
    gone: list.is_complete ? await readGone(trx, id, supplier) : [],
    outcome: null,
  });
  return counts;
}

/** A number that nobody has waits until somebody says what kind of part the list is of. */
const waitForKind = (row: PlacedRow): PlacedRow =>
  row.heap === 'new'
    ? { ...row, heap: 'doubtful', why: ['a new number: say what the new ones of this list are'] }
    : row;

const today = (): string => new Date().toISOString().slice(0, 10);

/**
 * All that is new and changed, with the state that says so, in one transaction: killed at any point it is the old or the new.
 * First it is laid beside what is held by now: where that would do anything else than what was looked at, it is shown instead.
 */
async function write(db: Database, list: ImportFound, step: Step): Promise<string> {
  const of = (list.counts?.new ?? 0) + (list.counts?.changed ?? 0);
  return db.transaction().execute(async (trx) => {
    await lockAllClusters(trx);
    const seen = await sumOfRows(trx, list.id);
    await sortRows(trx, list, (done, says) => step(0.4 * done, says));
    if ((await sumOfRows(trx, list.id)) !== seen) {
      await moveTo(trx, list.id, 'sorted', { outcome: MOVED_ON });
      return MOVED_ON;
    }
    const written = await writeList(trx, list, today(), (so) =>
      step(0.4 + (0.6 * so) / Math.max(1, of), `${counted(so, 'row')} written`),
    );
    const outcome = `${counted(written, 'row')} written.`;
    await moveTo(trx, list.id, 'written', { outcome });
    if (await madeFacts(trx, list.id)) await askForAuditAfter(trx, list.staff_id);
    return outcome;
  });
}

const MOVED_ON = 'Nothing was written: what is held has changed since it was sorted. Look at it as it would be now.';

async function takeBack(db: Database, list: ImportFound, step: Step): Promise<string> {
  await step(0.1, 'taking it back');
  return db.transaction().execute(async (trx) => {
    await takeBackList(trx, list.id);
    const outcome = 'Taken back: what it had made is gone, and what it had changed is as before.';
    await moveTo(trx, list.id, 'taken-back', { outcome });
    return outcome;
  });
}
