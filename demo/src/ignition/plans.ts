import type { EngineEntry } from '@brackenfell/contract/catalogue-file';

type Plan = NonNullable<EngineEntry['plan']>;

const row = (firingOrder: number[], rotation?: 'clockwise' | 'anticlockwise'): Plan => ({
  banks: [{ label: 'front to rear', cylinders: [...firingOrder].sort((a, b) => a - b) }],
  firingOrder,
  ...(rotation ? { rotation } : {}),
});

const FOUR = [1, 3, 4, 2];
const SIX = [1, 5, 3, 6, 2, 4];

/** How the cylinders of each engine stand, are numbered and fire. */
export const plans: Readonly<Record<string, Plan>> = {
  'ostrel-ow12': row([1, 2, 3]),
  'ostrel-of16t': row(FOUR),
  'skerrow-sc20': row(FOUR),
  'skerrow-sc20g': row(FOUR),
  // Across the car: the rear bank stands against the bulkhead, under the intake.
  'skerrow-sh28': {
    banks: [
      { label: 'rear bank', cylinders: [1, 2, 3] },
      { label: 'front bank', cylinders: [4, 5, 6] },
    ],
    firingOrder: [1, 4, 2, 6, 3, 5],
  },
  'skerrow-tl24': row(FOUR),
  'dunmarrow-dd70': row([1, 2]),
  'dunmarrow-hf22': row(FOUR, 'clockwise'),
  'dunmarrow-h6': row(SIX, 'anticlockwise'),
  'pellworth-pg66': {
    banks: [
      { label: 'left bank', cylinders: [1, 2, 3, 4] },
      { label: 'right bank', cylinders: [5, 6, 7, 8] },
    ],
    firingOrder: [1, 7, 3, 5, 4, 6, 2, 8],
    rotation: 'clockwise',
  },
  'pellworth-pp20': row([1]),
  'aldersyke-ak23s': row([1, 2, 4, 5, 3]),
  'aldersyke-as22': row(FOUR),
  'aldersyke-at20': row(FOUR),
  'thrushgill-tc18': row(FOUR, 'anticlockwise'),
  // Numbered alternately from the front: odd cylinders stand on the right.
  'thrushgill-tn17': {
    banks: [
      { label: 'left bank', cylinders: [2, 4] },
      { label: 'right bank', cylinders: [1, 3] },
    ],
    firingOrder: [1, 3, 2, 4],
  },
};
