/** Smaller than any gauge resolves; larger than binary rounding of 19.3 − 19.0. Quantities: Ranges. */
const ROUNDING = 1e-6;

/** Whether a difference is within a limit, with binary rounding forgiven. */
export const within = (difference: number, limit: number): boolean => difference <= limit + ROUNDING;

/** Whether a value lies in a range, ends included, with binary rounding forgiven. */
export const inside = (value: number, range: { low: number; high: number }): boolean =>
  within(range.low, value) && within(value, range.high);

/** Signed difference of a value from the nearest end of a range; 0 inside it. */
export function fromNearestEnd(value: number, range: { low: number; high: number }): number {
  if (inside(value, range)) return 0;
  const difference = value > range.high ? value - range.high : value - range.low;
  return Number(difference.toFixed(6));
}
