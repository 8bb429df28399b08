/** The value below which a share of the samples lies. */
export function percentile(samples: readonly number[], share: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN;
}

/** One line of a table, columns padded. */
export const row = (...cells: (string | number)[]): string =>
  cells.map((cell, i) => String(cell).padEnd(i === 0 ? 34 : 12)).join('');
