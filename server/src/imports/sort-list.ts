import { isDeepStrictEqual } from 'node:util';
import { guessColumns } from '@brackenfell/core/imports/columns';
import { readingOf, type ListReading } from '@brackenfell/core/imports/read-list';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import { HEAPS, type Heap } from '@brackenfell/core/imports/sort-row';
import { counted } from '@brackenfell/core/words/counted';
import { stable } from '@brackenfell/core/words/stable';
import { readCatalogueVersion } from '../catalogue/version-store.ts';
import { OneBehind } from '../db/all-ended.ts';
import type { Database, Writing } from '../db/database.ts';
import { readMakers, type Maker } from './held-store.ts';
import { placeRows, type PlacedRow } from './place-rows.ts';
import { readList, type FileRow, type ListFile } from './read-file.ts';
import {
  AS_IT_CAME,
  AS_SORTED,
  settleTwice,
  takeAsNew,
  countHeaps,
  dropPage,
  keepPlaced,
  pagesOf,
  readGone,
  readSample,
  type SortedRow,
} from './row-store.ts';
import { dropFile, moveTo, readRemembered, type ImportFound } from './store.ts';
import { UnreadableList } from './unreadable-list.ts';

/** Says how far a job is and what it does; ends it where somebody asked to stop. */
export type Step = (share: number, doing: string) => Promise<void>;

const PAGE = 1000;
/** So many rows tell what a column is. */
const SAMPLE = 5000;

/** Reads the file and lays its rows beside what is held, all at once. Begun again from nothing where it was broken off. */
export async function readIn(db: Database, list: ImportFound, bytes: Buffer, step: Step): Promise<string> {
  await step(0, 'reading the file');
  const file = await readList(bytes);
  const remembered = await readRemembered(db, list.supplier);
  const known = new Map(remembered?.columns.map((column) => [column.heading, column]));
  const isRemembered = file.headings.every((heading) => known.has(heading));
  const columns = isRemembered ? file.headings.map((heading) => known.get(heading)!) : guessColumns(file.headings);
  const ofMaker = isRemembered ? (remembered?.of_maker ?? null) : null;
  return db.transaction().execute(async (trx) => {
    const { first, pages } = await inPages(file.rows, SAMPLE);
    if (first.length === 0) throw new UnreadableList('The file has headings and no rows.');
    const read = await sortRows(
      trx,
      { ...list, columns, of_maker: ofMaker },
      { sample: first.filter(({ broken }) => !broken).map(({ cells }) => cells), pages },
      (done) => step(0.9 * Math.min(1, done / file.rowsAbout), `${counted(done, 'row')} read`),
    );
    await dropFile(trx, list.id);
    return settleSorted(trx, list, {
      ...read,
      form: file.form,
      columns: JSON.stringify(columns),
      of_maker: ofMaker,
      is_remembered: isRemembered,
      row_count: read.done,
      outcome: null,
    });
  });
}

/** The first rows of a file apart, and all of them page by page. */
async function inPages(
  rows: ListFile['rows'],
  many: number,
): Promise<{ readonly first: readonly FileRow[]; readonly pages: AsyncIterable<readonly FileRow[]> }> {
  const handfuls = Symbol.asyncIterator in rows ? rows[Symbol.asyncIterator]() : rows[Symbol.iterator]();
  let ahead: FileRow[] = [];
  const take = async (most: number): Promise<readonly FileRow[]> => {
    while (ahead.length < most) {
      const next = await handfuls.next();
      if (next.done) break;
      ahead = ahead.concat(next.value);
    }
    const taken = ahead.slice(0, most);
    ahead = ahead.slice(most);
    return taken;
  };
  const first = await take(many);
  async function* pages(): AsyncGenerator<readonly FileRow[]> {
    for (let i = 0; i < first.length; i += PAGE) yield first.slice(i, i + PAGE);
    for (let page = await take(PAGE); page.length > 0; page = await take(PAGE)) yield page;
  }
  return { first, pages: pages() };
}

/** Sorts all rows anew as they are kept, with what is said of it; a reader finds the rows of before or of after. */
export async function sortAll(
  db: Database,
  list: ImportFound,
  step: Step,
  outcome: string | null = null,
): Promise<string> {
  await step(0, 'sorting');
  return db.transaction().execute(async (trx) => {
    if (await areOnlyPlugs(trx, list)) return sortAsPlugs(trx, list);
    const sample = await readSample(trx, list.id, SAMPLE);
    const read = await sortRows(
      trx,
      list,
      { sample, pages: pagesOf(trx, list.id, PAGE, AS_IT_CAME), areKept: true },
      (done) => step((0.9 * done) / Math.max(1, list.row_count), `${counted(done, 'row')} sorted`),
    );
    return settleSorted(trx, list, { ...read, outcome });
  });
}

/** How the rows of a list are read, and among whose numbers. */
const readAs = ({ columns, of_maker, new_kind }: ImportFound, makers: readonly Maker[]): string =>
  stable({ columns, of_maker, new_kind, makers: makers.length });

/** Whether nothing was said or changed since the rows were sorted, but that the new numbers are plugs. */
const areOnlyPlugs = async (trx: Writing, list: ImportFound): Promise<boolean> =>
  list.new_kind === 'plug' &&
  list.sorted_as === readAs({ ...list, new_kind: null }, await readMakers(trx)) &&
  list.sorted_version === (await readCatalogueVersion(trx));

/** Then every row lies where it lay: before it was said, they were looked at as plugs would be. */
async function sortAsPlugs(trx: Writing, list: ImportFound): Promise<string> {
  await takeAsNew(trx, list.id);
  await settleTwice(trx, list.id);
  return settleSorted(trx, list, { sorted_as: readAs(list, await readMakers(trx)) });
}

interface Rows {
  /** Cells of the first rows: what the units and marks of the columns are judged by. */
  readonly sample: readonly (readonly string[])[];
  readonly pages: AsyncIterable<readonly FileRow[]>;
  /** They are among the rows of the list already, and are written anew. */
  readonly areKept?: boolean;
}

/** Lays every row beside what is held now and keeps where it lies, in the caller's transaction. */
async function sortRows(
  trx: Writing,
  list: ImportFound,
  { sample, pages, areKept }: Rows,
  step: (done: number) => Promise<void>,
) {
  const reading = readingOf(list.columns, sample);
  // Read before any row: what is changed while they are laid beside it counts as changed since.
  const version = await readCatalogueVersion(trx);
  const makers = await readMakers(trx);
  let done = 0;
  // While a page is written, the next is read.
  await OneBehind.during(async (writings) => {
    for await (const page of pages) {
      const placed = await placePage(trx, list, makers, reading, page);
      await writings.begin(async () => {
        if (areKept) await dropPage(trx, list.id, page);
        await keepPlaced(trx, list.id, page, placed);
      });
      done += page.length;
      await step(done);
    }
  });
  await settleTwice(trx, list.id);
  return {
    done,
    asked: JSON.stringify(reading.asked),
    firsts: reading.firsts,
    sorted_version: version,
    sorted_as: readAs(list, makers),
  };
}

/** The import stands sorted; gives how many lie in each heap. */
async function settleSorted(
  trx: Writing,
  list: ImportFound,
  { done: _, ...more }: Partial<Awaited<ReturnType<typeof sortRows>>> & Parameters<typeof moveTo>[3],
): Promise<string> {
  const counts = await countHeaps(trx, list.id);
  await moveTo(trx, list.id, 'sorted', {
    ...more,
    counts: JSON.stringify(counts),
    gone: list.is_complete ? await readGone(trx, list.id, list.supplier) : [],
  });
  return HEAPS.map((heap) => `${counts[heap]} ${heap}`).join(', ');
}

async function placePage(
  db: Database,
  list: ImportFound,
  makers: Awaited<ReturnType<typeof readMakers>>,
  { read }: ListReading,
  page: readonly FileRow[],
): Promise<readonly PlacedRow[]> {
  const { of_maker: maker } = list;
  const ofTheMaker = (row: ReadRow): ReadRow => (maker === null || row.maker !== undefined ? row : { ...row, maker });
  return placeRows(
    db,
    makers,
    list.supplier,
    list.new_kind,
    page.map((row) => ({ line: row.line, read: ofTheMaker(read(row)) })),
  );
}

/**
 * Whether every row of which something is written would, laid beside what is held now, do what it was sorted to do. Nothing is
 * written. Of the others nothing is done, whatever is held by now; and a number that was new is looked for again only where the
 * catalogue has changed since.
 */
export async function stillDoes(
  trx: Writing,
  list: ImportFound,
  step: (done: number) => Promise<void>,
): Promise<boolean> {
  const reading = readingOf(list.columns, await readSample(trx, list.id, SAMPLE));
  const makers = await readMakers(trx);
  const isSameCatalogue = list.sorted_version === (await readCatalogueVersion(trx));
  let done = 0;
  for (const heap of isSameCatalogue ? (['changed'] as const) : (['changed', 'new'] as const))
    for await (const page of pagesOf(trx, list.id, PAGE, [...AS_SORTED, 'cells', 'broken', 'heap'], heap)) {
      const placed = await placePage(trx, list, makers, reading, page);
      if (!page.every((row, i) => doesTheSame(row, placed[i]!))) return false;
      done += page.length;
      await step(done);
    }
  return true;
}

const doesTheSame = (row: SortedRow & { readonly heap: Heap | null }, now: PlacedRow): boolean =>
  row.heap === now.heap &&
  row.part_id === now.partId &&
  row.equal_id === now.equalId &&
  row.maker_id === now.makerId &&
  isDeepStrictEqual(row.changes, JSON.parse(JSON.stringify(statedBy(row, now.changes))));

/** Of what a row would change, what its number's first row does not already. */
const statedBy = ({ again_of }: Pick<SortedRow, 'again_of'>, changes: PlacedRow['changes']): PlacedRow['changes'] =>
  again_of === null ? changes : changes.filter(({ what }) => what === 'equal-to');
