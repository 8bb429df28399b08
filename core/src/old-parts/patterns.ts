import { areNeighbours, wasteSparkPairs, type EnginePlan } from '../engine-plan/engine-plan.ts';
import type { CauseId } from './causes.ts';

/** How the cylinders that show a sign stand to each other. */
export const PATTERNS = ['one', 'neighbours', 'bank', 'all', 'pair', 'scattered'] as const;
export type Pattern = (typeof PATTERNS)[number];
export const PATTERN_WORDS: Readonly<Record<Pattern, string>> = {
  one: 'one cylinder',
  neighbours: 'two neighbours',
  bank: 'one whole bank',
  all: 'every cylinder',
  pair: 'a pair that fires together',
  scattered: 'several, in no order',
};

const row = (
  ...factors: readonly [number, number, number, number, number, number]
): Readonly<Record<Pattern, number>> =>
  Object.fromEntries(PATTERNS.map((pattern, i) => [pattern, factors[i]!])) as Record<Pattern, number>;

/** What a pattern makes of a cause: one, neighbours, bank, all, pair, scattered. Old parts: Patterns. */
export const FACTORS: Readonly<Record<CauseId, Readonly<Record<Pattern, number>>>> = {
  healthy: row(0.5, 0.5, 0.5, 1, 0.5, 0.5),
  worn: row(0.5, 0.5, 0.5, 1.5, 1, 0.5),
  'short-runs': row(0.25, 0.25, 0.5, 2, 0.5, 0.5),
  rich: row(0.25, 0.5, 1.5, 1.5, 0.5, 0.5),
  'too-cold': row(0.25, 0.5, 0.5, 1.5, 0.5, 0.5),
  lean: row(0.75, 0.5, 1.5, 1.5, 0.5, 0.5),
  hot: row(1, 0.75, 0.75, 1.25, 0.5, 0.75),
  'no-spark': row(1.5, 0.5, 0.5, 0.5, 2.5, 1),
  injector: row(1.5, 0.5, 0.5, 0.25, 0.5, 1),
  below: row(1, 1, 1, 1, 0.75, 1),
  seal: row(1, 1, 1.5, 1, 0.5, 1),
  gasket: row(1, 2, 1.25, 0.5, 1, 0.5),
  cooler: row(0.5, 1, 1, 1.5, 0.75, 1.5),
  ash: row(0.5, 0.5, 0.75, 1.5, 0.5, 0.75),
  strike: row(1.5, 1, 1, 1.25, 1, 1),
  reach: row(1, 1, 1, 1.5, 1, 1),
  flash: row(1.5, 1, 1, 0.75, 0.5, 1),
  loose: row(1.5, 0.75, 0.75, 0.75, 0.5, 1),
};

/** How cylinders stand, and which of them share a coil. */
export interface Standing {
  readonly plan: EnginePlan;
  /** A pack that fires two at once. */
  readonly isWasteSpark: boolean;
}

/**
 * Every pattern that cylinders make: several where they coincide, as a pair that are neighbours. Empty for an engine of one
 * cylinder, where no pattern says anything, and where none is affected.
 */
export function patternsOf(affected: readonly number[], { plan, isWasteSpark }: Standing): readonly Pattern[] {
  const count = plan.firingOrder.length;
  if (count === 1 || affected.length === 0) return [];
  if (affected.length === count) return ['all'];
  const [one, other] = affected;
  if (other === undefined) return ['one'];
  const isBank =
    plan.banks.length > 1 &&
    plan.banks.some(
      ({ cylinders }) =>
        cylinders.length === affected.length && affected.every((cylinder) => cylinders.includes(cylinder)),
    );
  const isTwo = affected.length === 2;
  const isPair =
    isTwo &&
    isWasteSpark &&
    count % 2 === 0 &&
    wasteSparkPairs(plan.firingOrder).some((pair) => pair.includes(one!) && pair.includes(other));
  const found: readonly Pattern[] = [
    ...(isBank ? (['bank'] as const) : []),
    ...(isPair ? (['pair'] as const) : []),
    ...(isTwo && areNeighbours(plan, one!, other) ? (['neighbours'] as const) : []),
  ];
  return found.length > 0 ? found : ['scattered'];
}

/** The factor of a cause: the larger where patterns coincide, and 1 where there is none. */
export const factorOf = (cause: CauseId, patterns: readonly Pattern[]): number =>
  patterns.length === 0 ? 1 : Math.max(...patterns.map((pattern) => FACTORS[cause][pattern]));
