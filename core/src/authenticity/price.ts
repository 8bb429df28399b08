/** A price against what this part usually costs the shop. Minor units. */
export interface PriceReading {
  readonly kind: 'usual' | 'far-below' | 'too-few-prices';
  readonly medianMinor: number | null;
  /** Share of the median it lies below; negative when above. */
  readonly below: number | null;
  readonly robustZ: number | null;
}

/** A price counts as evidence under both. Proof: Bands. */
const Z_LIMIT = -3.5;
const BELOW_LIMIT = 0.2;
/** Fewer earlier prices than this say nothing about what is usual. */
export const LEAST_PRICES = 5;
/** Scale of a price that never moved: 1% of it, so that pennies are no oddity. */
const LEAST_SCALE = 0.01;
/** Turns a median absolute deviation into a standard deviation of normal scatter. */
const MAD_TO_SD = 1.4826;

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Whether a price lies far below the usual ones, by median and median deviation, which a few odd prices do not move. */
export function readPrice(priceMinor: number, usualMinor: readonly number[]): PriceReading {
  if (usualMinor.length < LEAST_PRICES)
    return { kind: 'too-few-prices', medianMinor: null, below: null, robustZ: null };
  const medianMinor = median(usualMinor);
  const deviation = median(usualMinor.map((price) => Math.abs(price - medianMinor))) * MAD_TO_SD;
  const robustZ = (priceMinor - medianMinor) / Math.max(deviation, medianMinor * LEAST_SCALE);
  const below = 1 - priceMinor / medianMinor;
  return {
    kind: robustZ < Z_LIMIT && below >= BELOW_LIMIT - 1e-9 ? 'far-below' : 'usual',
    medianMinor,
    below,
    robustZ,
  };
}
