import type { ImportView } from '@brackenfell/contract/imports';

/** Heaps with nothing in them. */
export const NONE = { invalid: 0, doubtful: 0, new: 0, changed: 0, same: 0, gone: 0 };
/** A list that was sorted. */
export const list = (more: Partial<ImportView> = {}): ImportView => ({
  importId: '1',
  supplier: 'Eastgate',
  fileName: 'list.csv',
  state: 'sorted',
  at: '2026-11-27T10:00:00Z',
  by: 'Corwin',
  counts: NONE,
  version: 3,
  form: 'semicolon between cells, UTF-8',
  rows: 4,
  whole: null,
  columns: [],
  isRemembered: false,
  isComplete: false,
  newKind: null,
  ofMaker: null,
  progress: 0,
  doing: '',
  outcome: null,
  goneNumbers: [],
  unknownMakers: [],
  contradictions: null,
  ...more,
});
