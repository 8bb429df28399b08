import type { HouseRules } from '../house-rules/house-rules.ts';
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
 * code, is not fired by the same spark, and stands as near as can be. Old parts: Misfire codes.
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
export const SWAP_RESULTS = ['followed', 'stayed', 'cannot-tell'] as const;
export type SwapResult = (typeof SWAP_RESULTS)[number];

export interface Conclusion {
  /** The part that is to blame; null while nothing is, or where it is none of those that were moved. */
  readonly blamed: Swapped | null;
  readonly settled: boolean;
  readonly says: string;
  readonly sell: readonly string[];
  readonly notYet: readonly string[];
}

/** What the swaps so far come to, in the order they were made. What the code followed is to blame; nothing is sold on a guess. */
export function conclude(
  steps: readonly SwapStep[],
  results: readonly (SwapResult | undefined)[],
  rules: OneOrAll,
): Conclusion {
  const followed = steps.find((_, i) => results[i] === 'followed');
  if (followed) return blame(followed, rules);
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

/** The shop's rules on how many are changed when one has failed. */
export type OneOrAll = Pick<HouseRules, 'oneOrAllPlugs' | 'oneOrAllCoils' | 'oneOrAllLeads'>;

const ONE_MORE: Readonly<Record<Swapped, string>> = {
  coil: 'one coil, of the revision that stays in the engine',
  plug: 'one plug, the same as its sisters',
  lead: 'one lead, of the length and kind of its sisters: an aged set beside one new lead says so on the slip',
};
const SAYS: Readonly<Record<Swapped, string>> = {
  coil: 'the coil is to blame. Look at the plug it sat on: a worn gap kills coils.',
  plug: 'the plug is to blame. Read it before it is thrown away.',
  lead: 'the lead is to blame, and its sisters are as old.',
};

/** How many are sold for one that failed is the shop's own rule. */
function toSell(move: Swapped, rules: OneOrAll): string {
  const rule = { coil: rules.oneOrAllCoils, plug: rules.oneOrAllPlugs, lead: rules.oneOrAllLeads }[move];
  switch (rule) {
    case 'failed-one':
      return ONE_MORE[move];
    case 'bank':
      return `the ${SET_OF[move]} of that bank`;
    case 'all':
      return `a set of ${SET_OF[move]}`;
  }
}

function blame({ move, from, to }: SwapStep, rules: OneOrAll): Conclusion {
  return {
    blamed: move,
    settled: true,
    says: `The code went from cylinder ${from} to ${to} with the ${move}: ${SAYS[move]}`,
    sell: [toSell(move, rules)],
    notYet: SWAPPED.filter((one) => one !== move).map((one) => SET_OF[one]),
  };
}
