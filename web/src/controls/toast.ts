import type { toast as Toast } from 'sonner';
import { shareValue } from './shared-value.ts';

type Show = typeof Toast;

let show: Show | undefined;
let waiting: ((show: Show) => void)[] = [];

/** Whether what shows messages is to be there: once the first screen is, or as soon as there is something to tell. */
export const toastsAreDue = shareValue(false);

function tell(one: (show: Show) => void): void {
  if (show) {
    one(show);
    return;
  }
  waiting.push(one);
  toastsAreDue.set(true);
}

/** A message at the corner of the screen. What shows it is not part of the first load; what is told before waits for it. */
export const toast = Object.assign((...said: Parameters<Show>) => tell((by) => void by(...said)), {
  error: (...said: Parameters<Show['error']>) => tell((by) => void by.error(...said)),
});

/** What shows messages is there: what waited is told. */
export function showToasts(by: Show): void {
  show = by;
  const due = waiting;
  waiting = [];
  for (const one of due) one(by);
}
