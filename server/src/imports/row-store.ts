import { sql } from 'kysely';
import type { Heap } from '@brackenfell/core/imports/sort-row';
import { copyRows } from '../db/copy-rows.ts';
import type { Database, Writing } from '../db/database.ts';
import type { PlacedRow } from './place-rows.ts';
import type { FileRow } from './read-file.ts';

/** The rows of a list as they came and where each lies, in their order. */
export const readRows = (db: Database, importId: string, after: number, most: number, heap?: Heap) =>
  rowsAfter(db, importId, after, most, heap).selectAll().execute();

const rowsAfter = (db: Database, importId: string, after: number, most: number, heap?: Heap) =>
  db
    .selectFrom('list_row')
    .where('import_id', '=', importId)
    .where('line', '>', after)
    .$if(heap !== undefined, (rows) => rows.where('heap', '=', heap!))
    .orderBy('line')
    .limit(most);
type KeptRow = Awaited<ReturnType<typeof readRows>>[number];

/** A row as it came. */
export const AS_IT_CAME = ['line', 'cells', 'broken'] as const;
/** What is written of a row. */
export const AS_SORTED = ['line', 'number', 'part_id', 'equal_id', 'maker_id', 'read', 'changes', 'again_of'] as const;
export type SortedRow = Pick<KeptRow, (typeof AS_SORTED)[number]>;

/** The rows of a list, or of one of its heaps, page by page, with no more of each than is asked for. */
export async function* pagesOf<C extends keyof KeptRow>(
  db: Database,
  importId: string,
  most: number,
  columns: readonly (C | 'line')[],
  heap?: Heap,
): AsyncGenerator<readonly Pick<KeptRow, C | 'line'>[]> {
  for (let after = -1; ;) {
    const page = (await rowsAfter(db, importId, after, most, heap)
      .select(columns)
      .execute()) as unknown as readonly Pick<KeptRow, C | 'line'>[];
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

/** Takes a page of rows away, to be kept anew as it lies then: joined to what stands, it would be looked for row by row. */
export const dropPage = (trx: Writing, importId: string, page: readonly FileRow[]) =>
  trx
    .deleteFrom('list_row')
    .where('import_id', '=', importId)
    .where('line', '>=', page[0]!.line)
    .where('line', '<=', page.at(-1)!.line)
    .execute();

/** A page of rows as they came, with where each lies and what it would change; written in one statement. */
export const keepPlaced = (
  trx: Writing,
  importId: string,
  page: readonly FileRow[],
  placed: readonly PlacedRow[],
): Promise<void> =>
  copyRows(
    trx,
    'list_row',
    [
      ...(['import_id', 'line', 'cells', 'broken', 'heap', 'number', 'part_id', 'equal_id', 'maker_id'] as const),
      ...(['read', 'changes', 'why', 'subject', 'said', 'waits'] as const),
    ],
    page.map(({ line, cells, broken }, i) => {
      const { heap, read, partId, equalId, makerId, changes, why, subject, said, waits } = placed[i]!;
      return [
        importId,
        line,
        JSON.stringify(cells),
        broken,
        heap,
        read.number,
        partId,
        equalId,
        makerId,
        JSON.stringify(read),
        JSON.stringify(changes),
        JSON.stringify(why),
        subject,
        said,
        waits ? 't' : 'f',
      ];
    }),
  );

/** The numbers that waited for what they are, and for nothing else, are new. */
export const takeAsNew = (db: Database, importId: string) =>
  db
    .updateTable('list_row')
    .set({ heap: 'new', why: '[]', waits: false })
    .where('import_id', '=', importId)
    .where('heap', '=', 'doubtful')
    .where('waits', '=', true)
    .execute();

/**
 * Rows of one number. Where they state different things, which of them holds is asked of a person; where they state the same, the
 * first does, and of the others no more is kept than what each of them calls equal.
 */
export async function settleTwice(db: Database, importId: string): Promise<void> {
  // Looked for once, before any row is touched: beside the update they would be looked for row by row.
  await sql`
    with twice as materialized (
      select subject, count(*) as times, min(line) as first, min(said) <> max(said) as differs
        from list_row where import_id = ${importId} and heap in ('new', 'changed', 'same')
       group by subject having count(*) > 1),
    paired as materialized (
      select r.subject, r.equal_id, min(r.line) as first from twice t join list_row r on r.subject = t.subject
       where r.import_id = ${importId} and r.heap in ('new', 'changed', 'same') and r.equal_id is not null group by 1, 2),
    again as materialized (
      select r.line, t.*, (select json_agg(c) from json_array_elements(r.changes) c
                            where c ->> 'what' = 'equal-to' and p.first is not distinct from r.line) as kept
        from twice t join list_row r on r.subject = t.subject left join paired p on p.subject = r.subject and p.equal_id = r.equal_id
       where r.import_id = ${importId} and r.heap in ('new', 'changed', 'same') and r.again_of is null and (t.differs or r.line > t.first))
    update list_row r
       set heap = case when a.differs then 'doubtful' when a.kept is null then 'same' else r.heap end,
           changes = case when a.differs then r.changes else coalesce(a.kept, '[]') end,
           again_of = case when not a.differs then a.first end,
           why = (r.why::jsonb || to_jsonb(case when a.differs then 'stands ' || a.times || ' times in this list, and not alike'
                                                else 'stands in line ' || a.first || ' already' end))::json
      from again a
     where r.import_id = ${importId} and r.line = a.line`.execute(db);
}
