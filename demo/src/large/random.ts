import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';

/** Seeded chance: the same seed gives the same world on every machine. */
export interface Chance {
  /** A whole number from 0 up to, not including, `below`. */
  below(below: number): number;
  pick<T>(items: readonly T[]): T;
  /** True in `percent` of a hundred cases. */
  percent(percent: number): boolean;
}

export function chance(seed: number): Chance {
  const source = xoroshiro128plus(seed);
  const below = (limit: number) => uniformInt(source, 0, limit - 1);
  return {
    below,
    pick: (items) => items[below(items.length)]!,
    percent: (percent) => below(10_000) < percent * 100,
  };
}
