import { kmUntil } from './growth.ts';

/** What brings a set of plugs to its end, in the order they are told where two come at once. Gap and wear: Remaining life. */
const ENDS = ['margin', 'gap', 'life', 'interval'] as const;
export type EndBy = (typeof ENDS)[number];

export interface RunningPlug {
  readonly gapMm: number;
  /** Since it was fitted; undefined where nobody knows. */
  readonly ranKm: number | undefined;
  readonly perTenThousandKmMm: number;
  /** Where the gap is worn out: 0.2 mm past the range's upper end. */
  readonly wornAtMm: number;
  /** The gap at which the spark's margin runs out; undefined where it is not estimated. */
  readonly marginOutAtMm?: number | undefined;
  readonly statedLifeKm?: number | undefined;
  readonly intervalKm?: number | undefined;
}

/** One end of a plug's life, and how far it is until then, km; 0 where it is past. */
export interface LifeEnd {
  readonly by: EndBy;
  readonly leftKm: number;
}

/** What will end it, the earliest first: that one decides. Gap and wear: Remaining life. */
export function lifeEnds(plug: RunningPlug): readonly LifeEnd[] {
  const { gapMm, ranKm, perTenThousandKmMm, wornAtMm, marginOutAtMm, statedLifeKm, intervalKm } = plug;
  const left = (km: number | undefined) => (km === undefined || ranKm === undefined ? undefined : km - ranKm);
  const until: Readonly<Record<EndBy, number | undefined>> = {
    margin: marginOutAtMm === undefined ? undefined : kmUntil(gapMm, marginOutAtMm, perTenThousandKmMm),
    gap: kmUntil(gapMm, wornAtMm, perTenThousandKmMm),
    life: left(statedLifeKm),
    interval: left(intervalKm),
  };
  return ENDS.flatMap((by) => {
    const leftKm = until[by];
    return leftKm === undefined ? [] : [{ by, leftKm: Math.max(0, leftKm) }];
  }).sort((a, b) => a.leftKm - b.leftKm);
}

/** How far a set of unknown history has run. */
export type RunEstimate =
  /** Never taken for fresh. */
  | { readonly kind: 'due-now'; readonly because: 'no-delivered-gap' | 'closed-since' | 'does-not-grow' }
  /** By the gap found: an estimate, said to be one. */
  | { readonly kind: 'estimated'; readonly ranKm: number };

/** History unknown: due now, or by the gap found where the delivered one is known. Gap and wear: Unknown history. */
export function estimateRun(deliveredMm: number | undefined, foundMm: number, perTenThousandKmMm: number): RunEstimate {
  if (deliveredMm === undefined) return { kind: 'due-now', because: 'no-delivered-gap' };
  if (foundMm < deliveredMm - 1e-9) return { kind: 'due-now', because: 'closed-since' };
  if (perTenThousandKmMm <= 0) return { kind: 'due-now', because: 'does-not-grow' };
  return { kind: 'estimated', ranKm: kmUntil(deliveredMm, foundMm, perTenThousandKmMm) };
}
