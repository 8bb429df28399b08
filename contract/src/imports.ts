import { z } from 'zod';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { COLUMN_UNITS, COLUMN_USES } from '@brackenfell/core/imports/columns';
import { LARGEST_FILE_BYTES } from '@brackenfell/core/imports/largest-file';
import { HEAPS } from '@brackenfell/core/imports/sort-row';
import { EDITORS, endpoint, Id, line } from './endpoint.ts';
import { Consequences } from './consequences.ts';

/** Where an import is. Nothing of it is in the catalogue but in `written`. */
export const IMPORT_STATES = [
  'reading',
  'sorting',
  'sorted',
  'writing',
  'written',
  'taking-back',
  'taken-back',
  'failed',
] as const;
export const ImportState = z.enum(IMPORT_STATES);
export type ImportState = z.infer<typeof ImportState>;

const use = z.enum(COLUMN_USES);
const unit = z.enum(COLUMN_UNITS);
export const ImportColumn = z.object({
  heading: z.string(),
  use,
  unit: unit.optional(),
  isUnitSaid: z.boolean().optional(),
});

const count = z.number().int().nonnegative();
const Counts = z.object({ invalid: count, doubtful: count, new: count, changed: count, same: count, gone: count });

export const ImportLine = z
  .object({
    importId: Id,
    supplier: z.string(),
    fileName: z.string(),
    state: ImportState,
    at: z.iso.datetime(),
    by: z.string(),
    counts: Counts.nullable(),
    /** Of a whole catalogue in the open format: how many lines there are of each kind. It has no columns and no rows to look at. */
    whole: z.record(z.string(), count).nullable(),
  })
  .meta({ id: 'ImportLine' });
export type ImportLine = z.infer<typeof ImportLine>;

export const ImportView = ImportLine.extend({
  version: count,
  /** What the file is: its kind, its letters, what stands between its cells. */
  form: z.string(),
  rows: count,
  columns: z.array(
    ImportColumn.extend({
      /** The first value that is not blank. */
      first: z.string(),
      /** Its values deny its unit: asked before anything is read from it. */
      asked: z
        .object({
          beyond: count,
          of: count,
          low: z.number(),
          high: z.number(),
          likely: unit,
          likelyLowMm: z.number(),
          likelyHighMm: z.number(),
        })
        .nullable(),
    }),
  ),
  isRemembered: z.boolean(),
  isComplete: z.boolean(),
  /** What a number that nobody has yet is; null where new ones wait. */
  newKind: z.enum(PART_KINDS).nullable(),
  /** The maker whose list it is, where its rows name none. */
  ofMaker: z.string().nullable(),
  progress: z.number().min(0).max(1),
  doing: z.string(),
  outcome: z.string().nullable(),
  /** Of a list marked complete: numbers this supplier had before and has no more. No stock of ours is touched. */
  goneNumbers: z.array(z.string()),
  /** Makers its rows name whom the catalogue does not know, the first few. */
  unknownMakers: z.array(z.string()),
  /** Of a written list: what the audit after it found in what it touched; null in it while it looks, null where prices alone came. */
  contradictions: z.object({ found: z.number().int().nullable() }).nullable(),
}).meta({ id: 'ImportView' });
export type ImportView = z.infer<typeof ImportView>;

export const ImportRow = z
  .object({
    line: count,
    heap: z.enum(HEAPS),
    number: z.string(),
    changes: z.array(z.object({ what: use, ours: z.string().nullable(), theirs: z.string() })),
    why: z.array(z.string()),
  })
  .meta({ id: 'ImportRow' });
export type ImportRow = z.infer<typeof ImportRow>;

const params = z.object({ importId: Id });
/** As it was seen: somebody else’s change in between is told, not written over. */
const version = count;

export const listImports = endpoint('listImports', {
  summary: 'Lists taken in, the latest first.',
  roles: EDITORS,
  response: z.object({ imports: z.array(ImportLine), suppliers: z.array(z.string()) }),
});

export const takeList = endpoint('takeList', {
  summary:
    'Takes a supplier’s list (CSV, TSV, XLSX, JSON lines) or a whole catalogue in the open format. It is read and sorted; nothing is written.',
  roles: EDITORS,
  idempotent: true,
  consumes: LARGEST_FILE_BYTES,
  query: z.object({ supplier: line(80).trim().min(2), fileName: line(120).trim().min(1) }),
  response: ImportView,
  status: 201,
});

export const getImport = endpoint('getImport', {
  summary: 'An import: how its columns are read, and what its rows would change.',
  roles: EDITORS,
  params,
  response: ImportView,
});

export const getImportRows = endpoint('getImportRows', {
  summary: 'Rows of an import by heap, in the order of the file.',
  roles: EDITORS,
  params,
  query: z.object({ heap: z.enum(HEAPS).optional(), after: z.coerce.number().int().nonnegative().default(0) }),
  response: z.object({ rows: z.array(ImportRow), hasMore: z.boolean() }),
});

export const readImportSo = endpoint('readImportSo', {
  summary: 'How the columns are read; remembered for the supplier, and the rows are sorted anew.',
  roles: EDITORS,
  idempotent: true,
  params,
  body: z
    .object({
      version,
      columns: z
        .array(z.object({ use, unit: unit.optional(), isUnitSaid: z.boolean().optional() }))
        .max(200)
        .optional(),
      isComplete: z.boolean().optional(),
      newKind: z.enum(PART_KINDS).nullable().optional(),
      ofMaker: line(80).nullable().optional(),
    })
    .strict(),
  response: ImportView,
});

export const writeImport = endpoint('writeImport', {
  summary: 'Writes what is new and what is changed, in one step; the rest stays out.',
  roles: EDITORS,
  idempotent: true,
  params,
  body: z.object({ version }).strict(),
  response: ImportView,
});

export const takeBackImport = endpoint('takeBackImport', {
  summary: 'Takes a written import back as a whole; refused where something it brought is in use.',
  roles: EDITORS,
  idempotent: true,
  params,
  body: z.object({ version }).strict(),
  response: ImportView,
});

export const stopImport = endpoint('stopImport', {
  summary: 'Ends reading, sorting or writing at its next step; nothing of it is written.',
  roles: EDITORS,
  idempotent: true,
  params,
  body: z.object({}).strict(),
  response: ImportView,
});

export const rejectedSheet = endpoint('rejectedSheet', {
  summary: 'The rows that are not taken, as they came, each with its reason.',
  roles: EDITORS,
  params,
  response: z.unknown(),
  produces: 'text/csv',
});

export const addMaker = endpoint('addMaker', {
  summary: 'Add a maker by the name that lists call them.',
  roles: EDITORS,
  body: z.object({ name: line(60).trim().min(2) }).strict(),
  response: z.object({ makerId: z.string(), name: z.string() }),
  status: 201,
  idempotent: true,
});

export const importConsequences = endpoint('importConsequences', {
  summary: 'Verdicts that a sorted list would turn, of what is on the shelf; nothing is written.',
  roles: EDITORS,
  params: z.object({ importId: Id }),
  response: z.object({
    consequences: Consequences,
    /** Parts on the shelf whose figures it changes, and how many of them were looked at. */
    stocked: count,
    looked: count,
  }),
});
