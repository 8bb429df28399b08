/** A statement that took long: as it is prepared, without its values; when it ended, by the process's own clock in ms. */
export interface LongStatement {
  readonly sql: string;
  readonly ms: number;
  readonly endedAt: number;
}

const LONG_MS = 200;
const MOST_KEPT = 100;
const LONGEST_TOLD = 160;

const kept: LongStatement[] = [];

/** A statement that has run, in whoever's call. */
export function noteStatement(sql: string, ms: number): void {
  if (ms < LONG_MS) return;
  kept.push({ sql: sql.replaceAll(/\s+/g, ' ').slice(0, LONGEST_TOLD), ms, endedAt: performance.now() });
  if (kept.length > MOST_KEPT) kept.shift();
}

/** The longest statement that ran between two moments. */
export const longestBetween = (from: number, to: number): LongStatement | undefined =>
  kept
    .filter(({ endedAt, ms }) => endedAt > from && endedAt - ms < to)
    .reduce<LongStatement | undefined>((most, one) => (most && most.ms >= one.ms ? most : one), undefined);
