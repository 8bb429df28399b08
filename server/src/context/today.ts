/** The day of a moment at the counter, YYYY-MM-DD. The shop and its server stand in one zone. */
export const dayHere = (at: Date): string =>
  [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((n) => String(n).padStart(2, '0')).join('-');

export const today = (): string => dayHere(new Date());
