import { stringify } from 'csv-stringify/sync';
import type { ImportLine, ImportRow, ImportView } from '@brackenfell/contract/imports';
import type { Database } from '../db/database.ts';
import { readRows } from './row-store.ts';
import { countContradictions, latestJobOf, madeFacts, readUnknownMakers, type ImportFound } from './store.ts';

const SHOWN_GONE = 200;

export const lineView = (list: ImportFound): ImportLine => ({
  importId: list.id,
  supplier: list.supplier,
  fileName: list.file_name,
  state: list.state,
  at: list.created_at.toISOString(),
  by: list.by,
  counts: list.counts && { ...list.counts, gone: list.gone.length },
  whole: list.whole,
});

/** An import with how its columns are read; what its values deny is asked with it. */
export async function importView(db: Database, list: ImportFound): Promise<ImportView> {
  const isWritten = list.state === 'written';
  const [job, unknownMakers, isAudited, contradictions] = await Promise.all([
    latestJobOf(db, list.id),
    list.state === 'sorted' ? readUnknownMakers(db, list.id) : [],
    isWritten && madeFacts(db, list.id),
    isWritten ? countContradictions(db, list.id) : null,
  ]);
  return {
    ...lineView(list),
    version: list.version,
    form: list.form,
    rows: list.row_count,
    columns: list.columns.map((column, i) => ({
      ...column,
      first: list.firsts[i] ?? '',
      asked: list.asked[i] ?? null,
    })),
    isRemembered: list.is_remembered,
    isComplete: list.is_complete,
    newKind: list.new_kind,
    ofMaker: list.of_maker,
    progress: job?.progress ?? 0,
    doing: job && ['waiting', 'running'].includes(job.state) ? job.doing : '',
    outcome: list.outcome,
    goneNumbers: list.gone.slice(0, SHOWN_GONE),
    unknownMakers,
    contradictions: isAudited ? { found: contradictions } : null,
  };
}

export const rowView = (row: Awaited<ReturnType<typeof readRows>>[number]): ImportRow => ({
  line: row.line,
  heap: row.heap ?? 'doubtful',
  number: row.number,
  changes: row.changes.map(({ what, ours, theirs }) => ({ what, ours, theirs })),
  why: [...row.why],
});

const PAGE = 1000;

/**
 * The rows that are not taken as they came, each with its reason, a page at a time; what a spreadsheet would work out is text.
 */
export async function* rejectedSheetOf(db: Database, list: ImportFound): AsyncGenerator<string> {
  const sheet = (rows: readonly (readonly string[])[], bom = false) =>
    stringify([...rows], { bom, record_delimiter: 'windows', escape_formulas: true });
  yield sheet([['line', 'heap', 'reason', ...list.columns.map(({ heading }) => heading)]], true);
  for (const heap of ['invalid', 'doubtful'] as const)
    for (let after = -1; ;) {
      const page = await readRows(db, list.id, after, PAGE, heap);
      yield sheet(page.map(({ line, cells, why }) => [String(line), heap, why.join('; '), ...cells]));
      if (page.length < PAGE) break;
      after = page.at(-1)!.line;
    }
}
