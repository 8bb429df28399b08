import { wasteSparkPairs, type EnginePlan } from '../engine-plan/engine-plan.ts';

/** What is moved to another cylinder to see whether the code goes with it. */
export const SWAPPED = ['coil', 'plug', 'lead'] as const;
export type Swapped = (typeof SWAPPED)[number];

/** How the spark comes to the plugs: what can be moved at all. */
export type SparkBy = 'coil-each' | 'coil-with-lead' | 'pack' | 'cap' | 'single-lead';

export interface SwapStep {
  readonly move: Swapped;
  readonly from: number;
  readonly to: number;
}

const MOVABLE: Readonly<Record<SparkBy, readonly Swapped[]>> = {
  'coil-each': ['coil', 'plug'],
  // Each cylinder has a coil and a lead: the lead is swapped last.
  'coil-with-lead': ['coil', 'plug', 'lead'],
  pack: ['lead', 'plug'],
  cap: ['lead', 'plug'],
  'single-lead': ['plug'],
};

/**
 * The order in which parts are swapped with a cylinder that runs: what is quickest to move first. The other cylinder has no
 * code, is not fired by the same spark, and stands as near as can be. Domain section 9, Misfire codes.
 */
export function planSwap(
  plan: EnginePlan,
  cylinder: number,
  sparkBy: SparkBy,
  alsoCoded: readonly number[] = [],
): readonly SwapStep[] {
  const { banks, firingOrder } = plan;
  const partner =
    sparkBy === 'pack' && firingOrder.length % 2 === 0
      ? wasteSparkPairs(firingOrder).find((pair) => pair.includes(cylinder))
      : undefined;
  const bankOf = (one: number) => banks.findIndex(({ cylinders }) => cylinders.includes(one));
  const placeOf = (one: number) => banks[bankOf(one)]?.cylinders.indexOf(one) ?? 0;
  const far = (one: number) =>
    (bankOf(one) === bankOf(cylinder) ? 0 : firingOrder.length) + Math.abs(placeOf(one) - placeOf(cylinder));
  const runs = firingOrder.filter((one) => one !== cylinder && !alsoCoded.includes(one));
  const [to] = runs.filter((one) => !partner?.includes(one)).sort((a, b) => far(a) - far(b) || a - b);
  if (to === undefined) return [];
  return MOVABLE[sparkBy].map((move) => ({ move, from: cylinder, to }));
}

/** What happened to the code after a part was moved. */
export type SwapResult = 'followed' | 'stayed' | 'cannot-tell';

export interface Conclusion {
  /** The part that is to blame; null while nothing is, or where it is none of those that were moved. */
  readonly blamed: Swapped | null;
  readonly settled: boolean;
  readonly says: string;
  readonly sell: readonly string[];
  readonly notYet: readonly string[];
}

/** What the swaps so far come to, in the order they were made. What the code followed is to blame; nothing is sold on a guess. */
export function conclude(steps: readonly SwapStep[], results: readonly (SwapResult | undefined)[]): Conclusion {
  const followed = steps.find((_, i) => results[i] === 'followed');
  if (followed) return blame(followed);
  const open = steps.filter((_, i) => results[i] === undefined);
  const untold = steps.filter((_, i) => results[i] === 'cannot-tell').map(({ move }) => move);
  if (open.length > 0) {
    return {
      blamed: null,
      settled: false,
      says: 'Not settled yet: the next swap tells.',
      sell: [],
      notYet: steps.map(({ move }) => SET_OF[move]),
    };
  }
  if (untold.length > 0) {
    return {
      blamed: null,
      settled: false,
      says: `The swap of the ${untold.join(' and the ')} told nothing: clear the code, drive until it would come, and look again.`,
      sell: [],
      notYet: steps.map(({ move }) => SET_OF[move]),
    };
  }
  return {
    blamed: null,
    settled: true,
    says: 'The code stayed with the cylinder whatever was moved: injector, wiring, compression or an air leak, not the ignition.',
    sell: [],
    notYet: steps.map(({ move }) => SET_OF[move]),
  };
}

const SET_OF: Readonly<Record<Swapped, string>> = { coil: 'coils', plug: 'plugs', lead: 'leads' };

function blame({ move, from, to }: SwapStep): Conclusion {
  const others = SWAPPED.filter((one) => one !== move).map((one) => SET_OF[one]);
  const went = `The code went from cylinder ${from} to ${to} with the ${move}`;
  switch (move) {
    case 'coil':
      return {
        blamed: 'coil',
        settled: true,
        says: `${went}: the coil is to blame. Look at the plug it sat on: a worn gap kills coils.`,
        sell: ['one coil, of the revision that stays in the engine'],
        notYet: others,
      };
    case 'lead':
      return {
        blamed: 'lead',
        settled: true,
        says: `${went}: the lead is to blame, and its sisters are as old.`,
        sell: ['a set of leads'],
        notYet: others,
      };
    case 'plug':
      return {
        blamed: 'plug',
        settled: true,
        says: `${went}: the plug is to blame. Read it before it is thrown away.`,
        sell: ['a set of plugs'],
        notYet: others,
      };
  }
}
