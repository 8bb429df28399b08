import type { Span } from '../facts/fact-shapes.ts';
import { inside, within } from '../fitment/tolerance.ts';

export const middleOf = ({ low, high }: Span): number => Number(((low + high) / 2).toFixed(6));

/** What is to be done with a gap to bring it into its range. */
export type GapMove =
  | { readonly kind: 'none' }
  /** Opened by `changeMm`, or closed where it is negative. `usesShare`: of what may be changed. */
  | { readonly kind: 'set'; readonly setToMm: number; readonly changeMm: number; readonly usesShare: number }
  /** Too far off: as near as it may go is still outside. */
  | { readonly kind: 'past-limit'; readonly nearestMm: number; readonly changeMm: number }
  | { readonly kind: 'not-adjustable' };

/**
 * The move that brings a gap into its range: to the middle, or where that is past what may be changed, to the nearest point
 * inside. `limitMm` is the change from delivered; null for a plug that may not be adjusted. Plugs: Gap.
 */
export function gapMove(gapMm: number, range: Span, limitMm: number | null): GapMove {
  if (inside(gapMm, range)) return { kind: 'none' };
  return moveToMiddle(gapMm, range, limitMm);
}

/** The same for a gap that is to be set although it may lie inside, for its pieces scatter. */
export function moveToMiddle(gapMm: number, range: Span, limitMm: number | null): Exclude<GapMove, { kind: 'none' }> {
  if (limitMm === null) return { kind: 'not-adjustable' };
  const middle = middleOf(range);
  const nearest = gapMm < middle ? gapMm + limitMm : gapMm - limitMm;
  const setToMm = within(Math.abs(middle - gapMm), limitMm) ? middle : Number(nearest.toFixed(6));
  const changeMm = Number((setToMm - gapMm).toFixed(6));
  return inside(setToMm, range)
    ? { kind: 'set', setToMm, changeMm, usesShare: limitMm === 0 ? 1 : Math.abs(changeMm) / limitMm }
    : { kind: 'past-limit', nearestMm: setToMm, changeMm };
}
