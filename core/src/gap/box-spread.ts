/** The gaps of a box, mm: how far they lie apart, one set aside where a single one may have been knocked. */
export interface BoxSpread {
  readonly low: number;
  readonly high: number;
  /** The reading set aside; null where none is, or where the box is too small for that. */
  readonly setAside: number | null;
}

/** In a smaller box a bad one is a finding, not an outlier. Gap and wear: Box statistics. */
const LEAST_FOR_OUTLIER = 4;

/**
 * Spread of a box's gaps against what its maker allows. In boxes of four or more a single reading is set aside where the
 * rest agree without it: one plug may have been dropped. Undefined for fewer than two readings.
 */
export function boxSpread(gapsMm: readonly number[], allowedMm: number): BoxSpread | undefined {
  if (gapsMm.length < 2) return undefined;
  const sorted = [...gapsMm].sort((a, b) => a - b);
  const [low, high] = [sorted[0]!, sorted.at(-1)!];
  const fits = (from: number, to: number) => to - from <= allowedMm + 1e-9;
  if (fits(low, high) || sorted.length < LEAST_FOR_OUTLIER) return { low, high, setAside: null };
  const [withoutLow, withoutHigh] = [fits(sorted[1]!, high), fits(low, sorted.at(-2)!)];
  // Where either would do, the one that stands farther off.
  if (withoutHigh && (!withoutLow || high - sorted.at(-2)! >= sorted[1]! - low))
    return { low, high: sorted.at(-2)!, setAside: high };
  if (withoutLow) return { low: sorted[1]!, high, setAside: low };
  return { low, high, setAside: null };
}
