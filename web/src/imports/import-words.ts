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

/** Where an import stands, with its mark and what comes next. */
export function sayImport(view: ImportView): { readonly mark: MarkKind; readonly says: string; readonly then: string } {
  const asked = view.columns.find((column) => column.asked !== null);
  switch (view.state) {
    case 'reading':
    case 'sorting':
      return { mark: 'unknown', says: 'Being read', then: view.doing || 'waiting for its turn' };
    case 'writing':
      return { mark: 'unknown', says: 'Being written', then: view.doing || 'waiting for its turn' };
    case 'taking-back':
      return { mark: 'unknown', says: 'Being taken back', then: view.doing || 'waiting for its turn' };
    case 'written':
      return { mark: 'match', says: 'Written', then: view.outcome ?? '' };
    case 'taken-back':
      return { mark: 'not-asked', says: 'Taken back', then: view.outcome ?? '' };
    case 'failed':
      return { mark: 'refuse', says: 'Not read', then: view.outcome ?? '' };
    case 'sorted':
      if (asked)
        return {
          mark: 'unknown',
          says: 'One column asked',
          then: `${asked.heading}: in which unit? Nothing is written yet.`,
        };
      if (toWrite(view) === 0 && notTaken(view) > 0)
        return {
          mark: 'unknown',
          says: `Nothing to write: ${counted(notTaken(view), 'row')} not taken`,
          then: view.outcome ?? 'Each tells below why.',
        };
      return toWrite(view) === 0
        ? { mark: 'match-small', says: 'Nothing to write', then: view.outcome ?? 'Every row is the same as is held.' }
        : {
            mark: 'acceptable',
            says: `${counted(toWrite(view), 'row')} to write`,
            then: view.outcome ?? 'Nothing is written yet.',
          };
  }
}

/** How many rows are not taken as they are. */
export const notTaken = ({ counts }: ImportView): number => (counts ? counts.invalid + counts.doubtful : 0);

/** Where they are fetched as a sheet, each with its reasons. */
export const rejectedSheet = ({ importId }: ImportView): string => `/api/imports/${importId}/rejected.csv`;
