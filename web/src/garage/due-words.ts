import type { DueLine } from '@brackenfell/contract/garage';
import { sayIn } from '@brackenfell/core/fitment/say';
import { sayRun } from '@brackenfell/core/garage/say-due';
import { printDate } from '@brackenfell/core/words/moments';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { MarkKind } from '../controls/mark-shapes.ts';

export const dueMark = (due: DueLine | null): MarkKind =>
  due === null ? 'match' : due.kind !== 'due' ? 'unknown' : due.isPast ? 'refuse' : 'match';

/** When, in few words: now, at so much, about a day. */
export function dueWhen(due: DueLine, units: UnitDisplay): string {
  const at = due.at === null ? '' : sayRun(due.at, due.countsIn, sayIn(units));
  switch (due.kind) {
    case 'history-unknown':
      return 'now: history unknown';
    case 'never-read':
      return 'read it next time';
    case 'no-interval':
      return 'nobody says';
    case 'due':
      return due.isPast ? `now, since ${at}` : `${at}${due.on === null ? '' : `, about ${printDate(due.on)}`}`;
  }
}
