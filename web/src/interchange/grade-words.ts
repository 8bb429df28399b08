import type { ReferenceGrade } from '@brackenfell/core/interchange/trail';

/** What each grade of a reference means to somebody who reads it for the first time. */
export const GRADE_MEANS: Readonly<Record<ReferenceGrade, string>> = {
  same: 'the same part in another box',
  supersedes: 'replaced by',
  equivalent: 'a maker’s claim that they are equal',
  alternative: 'fits with a noted difference',
  observed: 'noted at this counter',
};
