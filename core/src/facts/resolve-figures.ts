import { stable } from '../words/stable.ts';
import { SOURCE_RANKS, type FactEntry, type Sourced } from './facts.ts';

/** A figure as recorded: gauged ones also say how many times they were read alike. */
export interface RecordedFigure<T> extends Sourced<T> {
  readonly readings?: number;
}

/** A gauged figure rules only when it was repeated. Quantities: The piece in hand. */
const REPEATED = 2;

const alike = (a: unknown, b: unknown): boolean => a === b || stable(a) === stable(b);

/**
 * Which figures rule a fact: those of the strongest rank, all of them where they disagree. Hearsay and figures gauged
 * once can only question; they are kept when they say something else. Quantities: Sources.
 */
export function resolveFigures<T>(figures: readonly RecordedFigure<T>[]): FactEntry<T> | undefined {
  if (figures.length === 0) return undefined;
  const onlyQuestions = (f: RecordedFigure<T>) =>
    f.source.rank === 'hearsay' || (f.source.rank === 'gauged' && (f.readings ?? 1) < REPEATED);
  const trusted = figures.filter((f) => !onlyQuestions(f));
  const best = SOURCE_RANKS.find((rank) => trusted.some((f) => f.source.rank === rank));
  const ruling: Sourced<T>[] = [];
  for (const { value, source } of trusted) {
    if (source.rank === best && !ruling.some((r) => alike(r.value, value))) ruling.push({ value, source });
  }
  const questioning = figures
    .filter((f) => onlyQuestions(f) && !ruling.some((r) => alike(r.value, f.value)))
    .map(({ value, source }) => ({ value, source }));
  return questioning.length > 0 ? { ruling, questioning } : { ruling };
}
