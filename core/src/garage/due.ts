import type { Day } from '../words/calendar.ts';
import { dayWhen, servedBy, type ServedReading, type Use } from './use.ts';

/** A part that sits in a vehicle, as far as its next change goes: km, or hours where that is what is counted. */
export interface FittedPart {
  /** What the vehicle had run when it was fitted; undefined where nobody read it. */
  readonly served: number | undefined;
  readonly on: Day | undefined;
  /** As it was agreed; undefined where nobody says how long it lasts. */
  readonly interval: number | undefined;
}

export type Due =
  /** Nobody knows since when it runs: never taken for fresh. */
  | { readonly kind: 'history-unknown' }
  /** Nobody says how long it lasts. */
  | { readonly kind: 'no-interval' }
  /** It is known when it is fitted, but nothing was ever read off the vehicle. */
  | { readonly kind: 'never-read' }
  | {
      readonly kind: 'due';
      readonly at: number;
      /** Nothing or less where it is past. */
      readonly left: number;
      /** By its use; undefined where nobody knows that. */
      readonly on: Day | undefined;
      /** Where it stands now, or when it was fitted, is reckoned and was not read. */
      readonly isEstimate: boolean;
    };

/** When a part is due, of one vehicle with its readings and its use. Garage book: Dues. */
export function dueOf(
  { served, on, interval }: FittedPart,
  readings: readonly ServedReading[],
  use: Use,
  today: Day,
): Due {
  if (served === undefined && on === undefined) return { kind: 'history-unknown' };
  if (interval === undefined) return { kind: 'no-interval' };
  const now = servedBy(readings, use, today);
  const fitted = served === undefined ? servedBy(readings, use, on!) : { served, isEstimate: false };
  if (!now || !fitted) return { kind: 'never-read' };
  const at = fitted.served + interval;
  const left = at - now.served;
  return { kind: 'due', at, left, on: dayWhen(left, use, today), isEstimate: now.isEstimate || fitted.isEstimate };
}

/** How pressing a due is, the most first: past, then by day, then what nobody can say. */
export const pressing = (due: Due): number => {
  switch (due.kind) {
    case 'history-unknown':
      return 1;
    case 'due':
      return due.left <= 0 ? 0 : 2;
    case 'never-read':
      return 3;
    case 'no-interval':
      return 4;
  }
};

/** Whether it is due within so many days: now, or by its use. */
export const isDueBy = (due: Due, day: Day): boolean =>
  due.kind === 'history-unknown' || (due.kind === 'due' && (due.left <= 0 || (due.on !== undefined && due.on <= day)));
