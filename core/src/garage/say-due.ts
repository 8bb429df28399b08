import { type CountsIn, KM_PER_HOUR } from '../service-plan/running-hours.ts';
import { printCount } from '../words/counted.ts';
import type { Say } from '../fitment/say.ts';
import type { Due } from './due.ts';

/** What a vehicle has run or will have, in its own counting: as its meter shows it, not rounded as an interval is. */
export const sayRun = (served: number, countsIn: CountsIn, say: Say): string =>
  countsIn === 'hours' ? `${printCount(Math.round(served))} h` : say.quantity('run', served);

/** For wear an hour counts as so many km: what is counted in hours, in km. */
export const wearKm = (served: number, countsIn: CountsIn): number =>
  countsIn === 'hours' ? served * KM_PER_HOUR : served;

interface Reason {
  readonly countsIn: CountsIn;
  readonly interval: number | undefined;
  readonly intervalSource: string | undefined;
}

/** Why it is due when it is. */
export function sayWhyDue(due: Due, { countsIn, interval, intervalSource }: Reason, say: Say): string {
  const of =
    interval === undefined
      ? ''
      : `Every ${sayRun(interval, countsIn, say)}${intervalSource ? `, ${intervalSource}` : ''}. `;
  switch (due.kind) {
    case 'history-unknown':
      return 'Nobody knows since when they run: never taken for fresh. Read the gap, then write down what is fitted.';
    case 'no-interval':
      return 'Nobody says how long it lasts.';
    case 'never-read':
      return `${of}Nothing was ever read off the vehicle: read it next time.`;
    case 'due':
      return `${of}${
        due.left <= 0
          ? `${sayRun(-due.left, countsIn, say)} past it`
          : due.on === undefined
            ? `${sayRun(due.left, countsIn, say)} left; how much it runs a day nobody knows`
            : `${sayRun(due.left, countsIn, say)} left by its use`
      }${due.isEstimate ? ', reckoned from its readings' : ''}.`;
  }
}
