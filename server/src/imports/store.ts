import { sql } from 'kysely';
import type { Column } from '@brackenfell/core/imports/columns';
import { STATING_USES } from '@brackenfell/core/imports/stated';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { ImportState } from '@brackenfell/contract/imports';
import type { Database, Writing } from '../db/database.ts';

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
                     union select subject_id from list_made_each where import_id = ${importId} and kind = 'part')
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
          select array_agg(c ->> 'what') as uses from json_array_elements(r.changes) c
           where c ->> 'what' = any(${STATING_USES}::text[])) u
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
    whole?: string;
    sorted_version?: string;
    sorted_as?: string;
  } = {},
) =>
  trx
    .updateTable('list_import')
    .set((eb) => ({ state, version: eb('version', '+', 1), ...more }))
    .where('id', '=', importId)
    .execute();

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

export const readFileOf = async (db: Database, importId: string): Promise<Buffer> =>
  (await db.selectFrom('list_file').select('bytes').where('import_id', '=', importId).executeTakeFirstOrThrow()).bytes;

/** What is read is kept as rows; the file itself is not. Of a whole catalogue it is kept until that is loaded. */
export const dropFile = (db: Database, importId: string) =>
  db.deleteFrom('list_file').where('import_id', '=', importId).execute();

/** How this supplier's lists were read the last time; undefined where it is new. */
export const readRemembered = (db: Database, supplier: string) =>
  db.selectFrom('list_mapping').select(['columns', 'of_maker']).where('supplier', '=', supplier).executeTakeFirst();
