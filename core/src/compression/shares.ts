/** What a cylinder's reading is beside the best: from 90% good, from 75% usable. Old parts: Compression. */
const [GOOD, USABLE] = [0.9, 0.75];
export type CompressionWord = 'good' | 'usable' | 'look-further';

export interface CylinderShare {
  readonly kpa: number;
  /** Of the highest, 0 to 1. */
  readonly share: number;
  readonly word: CompressionWord;
}

/** Lowest against highest, and each cylinder's share. Readings in kPa. Undefined for fewer than two, or where none has any. */
export interface CompressionSpread {
  readonly cylinders: readonly CylinderShare[];
  /** Lowest over highest. */
  readonly spread: number;
  readonly word: CompressionWord;
}

const wordOf = (share: number): CompressionWord =>
  share >= GOOD - 1e-9 ? 'good' : share >= USABLE - 1e-9 ? 'usable' : 'look-further';

export function compressionSpread(readingsKpa: readonly number[]): CompressionSpread | undefined {
  const highest = Math.max(...readingsKpa);
  if (readingsKpa.length < 2 || highest <= 0) return undefined;
  const cylinders = readingsKpa.map((kpa) => ({ kpa, share: kpa / highest, word: wordOf(kpa / highest) }));
  const spread = Math.min(...readingsKpa) / highest;
  return { cylinders, spread, word: wordOf(spread) };
}
