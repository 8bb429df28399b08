import type { Span } from '../facts/fact-shapes.ts';

/** What several ranges have in common; undefined where two share nothing, or there is none. Quantities: Sources. */
export function commonRange(ranges: readonly Span[]): Span | undefined {
  const low = Math.max(...ranges.map((one) => one.low));
  const high = Math.min(...ranges.map((one) => one.high));
  return ranges.length > 0 && low <= high ? { low, high } : undefined;
}
