import type { ImportView } from '@brackenfell/contract/imports';
import type { Heap } from '@brackenfell/core/imports/sort-row';
import { counted } from '@brackenfell/core/words/counted';
import type { MarkKind } from '../controls/mark-shapes.ts';

export const HEAP_MARKS: Readonly<Record<Heap | 'gone', MarkKind>> = {
  invalid: 'refuse',
  doubtful: 'unknown',
  new: 'match',
  changed: 'acceptable',
  same: 'not-asked',
  gone: 'caution',
};

/** Rows that would be written as things stand. */
export const toWrite = ({ counts }: Pick<ImportView, 'counts'>): number => (counts?.new ?? 0) + (counts?.changed ?? 0);

/** How many rows are not taken as they are. */
export const notTaken = ({ counts }: Pick<ImportView, 'counts'>): number =>
  counts ? counts.invalid + counts.doubtful : 0;

const STATE_MARKS = {
  reading: 'unknown',
  sorting: 'unknown',
  writing: 'unknown',
  written: 'match',
  'taking-back': 'unknown',
  'taken-back': 'not-asked',
  failed: 'refuse',
} as const;

/** The mark of a list: one that is sorted by what could be written of it. */
export function markOf(list: Pick<ImportView, 'state' | 'counts'>): MarkKind {
  if (list.state !== 'sorted') return STATE_MARKS[list.state];
  if (toWrite(list) > 0) return 'acceptable';
  return notTaken(list) > 0 ? 'unknown' : 'match-small';
}

interface ImportSaid {
  readonly mark: MarkKind;
  readonly says: string;
  readonly then: string;
}

/** Where an import stands, with its mark and what comes next. */
export function sayImport(view: ImportView): ImportSaid {
  const asked = view.columns.find((column) => column.asked !== null);
  const mark = asked && view.state === 'sorted' ? 'unknown' : markOf(view);
  return { mark, ...inWords(view, asked) };
}

function inWords(
  view: ImportView,
  asked: ImportView['columns'][number] | undefined,
): Pick<ImportSaid, 'says' | 'then'> {
  switch (view.state) {
    case 'reading':
    case 'sorting':
      return { says: 'Being read', then: view.doing || 'waiting for its turn' };
    case 'writing':
      return { says: 'Being written', then: view.doing || 'waiting for its turn' };
    case 'taking-back':
      return { says: 'Being taken back', then: view.doing || 'waiting for its turn' };
    case 'written':
      return { says: view.whole ? 'Loaded' : 'Written', then: view.outcome ?? '' };
    case 'taken-back':
      return { says: 'Taken back', then: view.outcome ?? '' };
    case 'failed':
      return { says: 'Not read', then: view.outcome ?? '' };
    case 'sorted':
      if (view.whole)
        return {
          says: `A whole catalogue of ${counted(view.rows, 'line')}`,
          then: view.outcome ?? 'Nothing of it is loaded yet. It is loaded whole, or not at all.',
        };
      if (asked)
        return {
          says: 'One column asked',
          then: `${asked.heading}: in which unit? Nothing is written yet.`,
        };
      if (toWrite(view) === 0 && notTaken(view) > 0)
        return {
          says: `Nothing to write: ${counted(notTaken(view), 'row')} not taken`,
          then: view.outcome ?? 'Each tells below why.',
        };
      return toWrite(view) === 0
        ? { says: 'Nothing to write', then: view.outcome ?? 'Every row is the same as is held.' }
        : {
            says: `${counted(toWrite(view), 'row')} to write`,
            then: view.outcome ?? 'Nothing is written yet.',
          };
  }
}

/** Where they are fetched as a sheet, each with its reasons. */
export const rejectedSheet = ({ importId }: ImportView): string => `/api/imports/${importId}/rejected.csv`;
