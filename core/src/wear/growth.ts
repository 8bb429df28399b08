import type { Material } from '../facts/plug-facts.ts';

/** Gap growth in mm per 10 000 km. Gap and wear: Wear. */
const GROWTH_MM: Readonly<Record<Material, number>> = { nickel: 0.1, silver: 0.06, platinum: 0.03, iridium: 0.015 };
const FORCED_INDUCTION_FACTOR = 1.5;
/** A gap is worn out this far past the range's upper limit, mm. Gap and wear: Wear. */
export const WORN_PAST_MM = 0.2;
const PER_KM = 10_000;

export interface WearCase {
  /** Of the electrode that wears at the place. */
  readonly material: Material;
  /** Forced induction as the factory built it. */
  readonly isForced: boolean;
  /** How much sooner a modified engine wears plugs: 1 for one as built. */
  readonly dutyFactor?: number;
}

/** How a gap usually grows, mm for 10 000 km, where nobody measured it. Gap and wear: Wear. */
export const usualGrowthMm = ({ material, isForced, dutyFactor = 1 }: WearCase): number =>
  GROWTH_MM[material] * (isForced ? FORCED_INDUCTION_FACTOR : 1) * dutyFactor;

/** A gap as it stood after so far. */
export interface GapAt {
  readonly km: number;
  readonly gapMm: number;
}

export type MeasuredGrowth =
  | { readonly kind: 'rate'; readonly perTenThousandKmMm: number }
  /** Nothing was run between the two. */
  | { readonly kind: 'no-distance' }
  /** It stands closer than before: set or knocked meanwhile, and no wear can be told from it. */
  | { readonly kind: 'closed' };

/** How a gap grew between two readings, or since it was delivered. Gap and wear: Wear. */
export function measuredGrowth(before: GapAt, after: GapAt): MeasuredGrowth {
  const km = after.km - before.km;
  const grownMm = after.gapMm - before.gapMm;
  if (km <= 0) return { kind: 'no-distance' };
  if (grownMm < -1e-9) return { kind: 'closed' };
  return { kind: 'rate', perTenThousandKmMm: (grownMm / km) * PER_KM };
}

/** How far a gap runs until it stands at another, km; Infinity where it does not grow. */
export const kmUntil = (gapMm: number, toMm: number, perTenThousandKmMm: number): number =>
  perTenThousandKmMm <= 0 ? (gapMm >= toMm ? 0 : Infinity) : ((toMm - gapMm) / perTenThousandKmMm) * PER_KM;

/** How much wider a gap stands after so far, mm. */
export const grownMm = (km: number, perTenThousandKmMm: number): number => (km / PER_KM) * perTenThousandKmMm;
