import { sql } from 'kysely';
import { FIGURE_USE_IDS, type Column } from '@brackenfell/core/imports/columns';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { Heap } from '@brackenfell/core/imports/sort-row';
import type { ImportState } from '@brackenfell/contract/imports';
import type { Database, Writing } from '../db/database.ts';
import type { PlacedRow } from './place-rows.ts';
import type { FileRow } from './read-file.ts';

export const findImport = (db: Database, importId: string) =>
  db
    .selectFrom('list_import')
    .innerJoin('staff', 'staff.id', 'list_import.staff_id')
    .selectAll('list_import')
    .select('staff.name as by')
    .where('list_import.id', '=', importId)
    .executeTakeFirst();
export type ImportFound = NonNullable<Awaited<ReturnType<typeof findImport>>>;

/** The same, held for the transaction: of two people the later one waits. */
export async function lockImport(trx: Writing, importId: string): Promise<ImportFound | undefined> {
  await trx.selectFrom('list_import').select('id').where('id', '=', importId).forUpdate().execute();
  return findImport(trx, importId);
}

/** Whether a list made anything that could contradict what is held: prices alone do not. */
export async function madeFacts(trx: Database, importId: string): Promise<boolean> {
  const made = await trx
    .selectFrom('list_made')
    .select('import_id')
    .where('import_id', '=', importId)
    .where('kind', 'in', ['part', 'figure', 'reference'])
    .limit(1)
    .executeTakeFirst();
  return made !== undefined;
}

/** What the audit after a written list found in the parts that it made or changed; null while it has not ended. */
export async function countContradictions(db: Database, importId: string): Promise<number | null> {
  const { rows } = await sql<{ found: number | null }>`
    with wrote as (select max(started_at) as at from job where import_id = ${importId}),
         looked as (select j.id from job j, wrote where j.kind = 'audit' and j.state = 'done' and j.started_at > wrote.at
                     order by j.id desc limit 1),
         touched as (select part_id from list_row
                      where import_id = ${importId} and heap in ('new', 'changed') and part_id is not null
                     union select subject_id from list_made where import_id = ${importId} and kind = 'part')
    select (select count(*)::int from audit_finding f
             where f.job_id = looked.id
               and (f.part_id in (select part_id from touched) or f.other_part_id in (select part_id from touched))) as found
      from looked`.execute(db);
  return rows[0]?.found ?? null;
}

const MOST_LISTED = 200;
export const readImports = (db: Database) =>
  db
    .selectFrom('list_import')
    .innerJoin('staff', 'staff.id', 'list_import.staff_id')
    .selectAll('list_import')
    .select('staff.name as by')
    .orderBy('list_import.id', 'desc')
    .limit(MOST_LISTED)
    .execute();

export const readSuppliers = async (db: Database): Promise<string[]> =>
  (await db.selectFrom('list_mapping').select('supplier').orderBy('supplier').execute()).map(
    ({ supplier }) => supplier,
  );

/** What a sorted list changes of figures of parts that are on the shelf, by part; the most of them first. */
export async function readStockedFigures(db: Database, importId: string, most: number) {
  const { rows } = await sql<{ part_id: string; read: ReadRow; uses: string[]; kind: string; stocked: number }>`
    with told as (
      select distinct on (r.part_id) r.part_id, p.kind, r.read, u.uses, s.on_hand
        from list_row r
        join stock s on s.part_id = r.part_id and s.on_hand > 0
        join part p on p.id = r.part_id
        cross join lateral (
          select array_agg(c ->> 'what') as uses from jsonb_array_elements(r.changes) c
           where c ->> 'what' = any(${[...FIGURE_USE_IDS]}::text[])) u
       where r.import_id = ${importId} and r.heap = 'changed' and u.uses is not null
       order by r.part_id, r.line desc)
    select part_id, kind, read, uses, (count(*) over ())::int as stocked from told
     order by on_hand desc, part_id limit ${most}`.execute(db);
  return rows;
}

const MOST_UNKNOWN = 12;
/** Makers that rows of a list name and nobody here is called. */
export async function readUnknownMakers(db: Database, importId: string): Promise<string[]> {
  const { rows } = await sql<{ maker: string }>`
    select distinct read ->> 'maker' as maker from list_row
     where import_id = ${importId} and heap = 'doubtful' and maker_id is null and read ->> 'maker' is not null
     order by 1 limit ${MOST_UNKNOWN}`.execute(db);
  return rows.map(({ maker }) => maker);
}

/** A maker's key from their name; undefined where somebody is called so already. */
export async function addMakerRow(trx: Writing, name: string): Promise<string | undefined> {
  const word =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-+|-+$/g, '') || 'maker';
  const makers = await trx.selectFrom('maker').select(['id', 'name']).execute();
  if (makers.some((one) => one.name.toLowerCase() === name.toLowerCase())) return undefined;
  const taken = new Set(makers.map(({ id }) => id));
  const id = [word, ...Array.from({ length: taken.size }, (_, i) => `${word}-${i + 2}`)].find(
    (one) => !taken.has(one),
  )!;
  await trx.insertInto('maker').values({ id, name }).execute();
  return id;
}

export async function addImport(
  trx: Writing,
  list: { supplier: string; fileName: string; bytes: Buffer; staffId: string },
): Promise<string> {
  const { id } = await trx
    .insertInto('list_import')
    .values({
      supplier: list.supplier,
      file_name: list.fileName,
      state: 'reading',
      new_kind: null,
      outcome: null,
      staff_id: list.staffId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  await trx.insertInto('list_file').values({ import_id: id, bytes: list.bytes }).execute();
  await askForWork(trx, id, list.staffId);
  return id;
}

/** Asks a worker to bring an import on from the state it is in. */
export const askForWork = (trx: Writing, importId: string, staffId: string) =>
  trx
    .insertInto('job')
    .values({
      kind: 'import',
      import_id: importId,
      asked_by: staffId,
      started_at: null,
      ended_at: null,
      beat_at: null,
      outcome: null,
    })
    .execute();

/** The job that brings an import on, or brought it on last. */
export const latestJobOf = (db: Database, importId: string) =>
  db
    .selectFrom('job')
    .select(['id', 'state', 'progress', 'doing'])
    .where('import_id', '=', importId)
    .orderBy('id', 'desc')
    .executeTakeFirst();

/** A new state; every one is a new version, so that nobody acts on what has gone by. */
export const moveTo = (
  trx: Database,
  importId: string,
  state: ImportState,
  more: {
    outcome?: string | null;
    columns?: string;
    form?: string;
    is_remembered?: boolean;
    is_complete?: boolean;
    new_kind?: ImportFound['new_kind'];
    of_maker?: string | null;
    row_count?: number;
    counts?: string;
    asked?: string;
    firsts?: string[];
    gone?: string[];
  } = {},
) =>
  trx
    .updateTable('list_import')
    .set((eb) => ({ state, version: eb('version', '+', 1), ...more }))
    .where('id', '=', importId)
    .execute();

export const readRows = (db: Database, importId: string, after: number, most: number, heap?: Heap) =>
  db
    .selectFrom('list_row')
    .selectAll()
    .where('import_id', '=', importId)
    .where('line', '>', after)
    .$if(heap !== undefined, (rows) => rows.where('heap', '=', heap!))
    .orderBy('line')
    .limit(most)
    .execute();
export type KeptRow = Awaited<ReturnType<typeof readRows>>[number];

/** The rows of a list, or of one of its heaps, page by page. */
export async function* pagesOf(
  db: Database,
  importId: string,
  most: number,
  heap?: Heap,
): AsyncGenerator<readonly KeptRow[]> {
  for (let after = -1; ;) {
    const page = await readRows(db, importId, after, most, heap);
    if (page.length > 0) yield page;
    if (page.length < most) return;
    after = page.at(-1)!.line;
  }
}

/** The first rows' cells: what the units and marks of its columns are judged by. */
export const readSample = async (
  db: Database,
  importId: string,
  most: number,
): Promise<readonly (readonly string[])[]> =>
  (
    await db
      .selectFrom('list_row')
      .select('cells')
      .where('import_id', '=', importId)
      .where('broken', 'is', null)
      .orderBy('line')
      .limit(most)
      .execute()
  ).map(({ cells }) => cells);

export async function countHeaps(db: Database, importId: string): Promise<Record<Heap, number>> {
  const rows = await db
    .selectFrom('list_row')
    .select(['heap', (eb) => eb.fn.countAll<string>().as('count')])
    .where('import_id', '=', importId)
    .groupBy('heap')
    .execute();
  const of = (heap: Heap) => Number(rows.find((row) => row.heap === heap)?.count ?? 0);
  return { invalid: of('invalid'), doubtful: of('doubtful'), new: of('new'), changed: of('changed'), same: of('same') };
}

/** Numbers this supplier took a price for before that this list does not name. */
export async function readGone(db: Database, importId: string, supplier: string): Promise<string[]> {
  const { rows } = await sql<{ printed: string }>`
    select min(n.printed) as printed from supplier_price s join part_name n on n.part_id = s.part_id and n.kind in ('catalogue', 'oe')
     where s.supplier = ${supplier}
       and not exists (select 1 from list_row r where r.import_id = ${importId} and r.part_id = s.part_id)
     group by s.part_id order by 1`.execute(db);
  return rows.map(({ printed }) => printed);
}

/** How a supplier's lists are read: their columns by heading, and the maker whose they are where none is named. */
export const rememberReading = (
  trx: Writing,
  supplier: string,
  { columns, ofMaker }: { readonly columns: readonly Column[]; readonly ofMaker: string | null },
) => {
  const reading = { columns: JSON.stringify(columns), of_maker: ofMaker };
  return trx
    .insertInto('list_mapping')
    .values({ supplier, ...reading })
    .onConflict((conflict) => conflict.column('supplier').doUpdateSet(reading))
    .execute();
};

interface Left {
  readonly state: ImportState;
  /** Where somebody stopped it, and where a fault of ours did. */
  readonly stopped: string;
  readonly failed: string;
}

const UNWRITTEN = {
  stopped: 'Stopped. Nothing of it was written.',
  failed: 'It stopped at a fault of ours, and nothing of it was written. Try it again.',
};

/** Where an import stands once its work was broken off, and what is true of it then. None where no work was on. */
export const LEFT_AT: Readonly<Partial<Record<ImportState, Left>>> = {
  reading: { state: 'failed', ...UNWRITTEN },
  sorting: { state: 'failed', ...UNWRITTEN },
  writing: { state: 'sorted', ...UNWRITTEN },
  'taking-back': {
    state: 'written',
    stopped: 'Stopped. It stands as it was written.',
    failed: 'It stopped at a fault of ours, and stands as it was written. Try it again.',
  },
};

/** Asks the worker to stop; where none has begun, it stops here. */
export async function stopWork(trx: Writing, { id, state }: ImportFound): Promise<void> {
  await trx
    .updateTable('job')
    .set({ cancel_asked: true })
    .where('import_id', '=', id)
    .where('state', 'in', ['waiting', 'running'])
    .execute();
  const waiting = await trx
    .updateTable('job')
    .set({ state: 'cancelled', ended_at: new Date(), outcome: 'Stopped before it began.' })
    .where('import_id', '=', id)
    .where('state', '=', 'waiting')
    .returning('id')
    .execute();
  const left = LEFT_AT[state];
  if (waiting.length > 0 && left) await moveTo(trx, id, left.state, { outcome: left.stopped });
}

/** Takes a page of rows away, to be kept anew as it lies then: joined to what stands, it would be looked for row by row. */
export const dropPage = (trx: Writing, importId: string, page: readonly FileRow[]) =>
  trx
    .deleteFrom('list_row')
    .where('import_id', '=', importId)
    .where('line', '>=', page[0]!.line)
    .where('line', '<=', page.at(-1)!.line)
    .execute();

/** A page of rows as they came, with where each lies and what it would change; written in one statement. */
export async function keepPlaced(
  trx: Writing,
  importId: string,
  page: readonly FileRow[],
  placed: readonly PlacedRow[],
): Promise<void> {
  const rows = page.map(({ line, cells, broken }, i) => {
    const { heap, read, partId, equalId, makerId, changes, why } = placed[i]!;
    return {
      ...{ line, cells, broken, heap, number: read.number, part_id: partId, equal_id: equalId, maker_id: makerId },
      ...{ read, changes, why },
    };
  });
  await sql`
    insert into list_row (import_id, line, cells, broken, heap, number, part_id, equal_id, maker_id, read, changes, why)
    select ${importId}::bigint, r.* from json_to_recordset(${JSON.stringify(rows)}::json) as r
      (line int, cells text[], broken text, heap text, number text, part_id bigint, equal_id bigint, maker_id text, read jsonb,
       changes jsonb, why text[])`.execute(trx);
}

/** Rows of one number that state different things: which of them holds is asked of a person. */
export async function askOfTwice(db: Database, importId: string): Promise<void> {
  // Looked for once, before any row is touched: beside the update it would be looked for row by row.
  await sql`
    with twice as materialized (
      select coalesce(part_id::text, maker_id || ' ' || upper(number)) as subject, count(*) as times
        from list_row where import_id = ${importId} and heap in ('new', 'changed', 'same')
       group by 1 having count(*) > 1 and count(distinct read - 'equalTo' - 'number') > 1)
    update list_row r set heap = 'doubtful', why = r.why || array['stands ' || t.times || ' times in this list, and not alike']
      from twice t
     where r.import_id = ${importId} and r.heap in ('new', 'changed', 'same')
       and coalesce(r.part_id::text, r.maker_id || ' ' || upper(r.number)) = t.subject`.execute(db);
}

export const readFileOf = async (db: Database, importId: string): Promise<Buffer> =>
  (await db.selectFrom('list_file').select('bytes').where('import_id', '=', importId).executeTakeFirstOrThrow()).bytes;

/** What is read is kept as rows; the file itself is not. */
export const dropFile = (db: Database, importId: string) =>
  db.deleteFrom('list_file').where('import_id', '=', importId).execute();

/** How this supplier's lists were read the last time; undefined where it is new. */
export const readRemembered = (db: Database, supplier: string) =>
  db.selectFrom('list_mapping').select(['columns', 'of_maker']).where('supplier', '=', supplier).executeTakeFirst();
