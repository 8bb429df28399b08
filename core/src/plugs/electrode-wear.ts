import type { Span } from '../facts/fact-shapes.ts';
import { MATERIALS, type Material } from '../facts/plug-facts.ts';

/** Gap growth in mm per 10 000 km. Gap and wear: Wear. */
const GROWTH_MM: Readonly<Record<Material, number>> = { nickel: 0.1, silver: 0.06, platinum: 0.03, iridium: 0.015 };
const FORCED_INDUCTION_FACTOR = 1.5;
/** A gap is worn out this far past the range's upper limit, mm. */
const WORN_PAST_MM = 0.2;

/** Place in the order of wear; the higher, the slower it wears. */
export const wearRank = (material: Material): number => MATERIALS.indexOf(material);

export const isPrecious = (material: Material): boolean => material !== 'nickel';

export interface WearFacts {
  readonly polarity: 'forward' | 'reverse';
  readonly centre: Material | undefined;
  readonly ground: Material | undefined;
  readonly gapMm: Span | undefined;
  readonly aspiration: 'natural' | 'forced' | undefined;
  readonly statedLifeKm: number | undefined;
  /** What the maker states for reversed positions: it outranks the estimate. */
  readonly statedReversedKm?: number | undefined;
}

/** The electrode that wears at a position: the centre where the spark runs forward, the ground in reverse. */
export function wornMaterial({ polarity, centre, ground }: Pick<WearFacts, 'polarity' | 'centre' | 'ground'>) {
  return polarity === 'forward' ? centre : ground;
}

/**
 * How long a plug lasts at a position, km: the maker's stated life, but where the spark runs in reverse onto a ground that
 * wears faster than the centre, no longer than that ground takes to open the gap from mid-range to the worn limit.
 */
export function lifeAtPositionKm(f: WearFacts): number | undefined {
  const { centre, ground, gapMm } = f;
  const groundIsPoorer = centre !== undefined && ground !== undefined && wearRank(ground) < wearRank(centre);
  if (f.polarity === 'reverse' && f.statedReversedKm !== undefined) return f.statedReversedKm;
  if (f.polarity === 'forward' || !groundIsPoorer) return f.statedLifeKm;
  if (gapMm === undefined) return undefined;
  const growth = GROWTH_MM[ground] * (f.aspiration === 'forced' ? FORCED_INDUCTION_FACTOR : 1);
  const roomMm = gapMm.high + WORN_PAST_MM - (gapMm.low + gapMm.high) / 2;
  const byWearKm = Math.round(((roomMm / growth) * 10_000) / 100) * 100;
  return f.statedLifeKm === undefined ? byWearKm : Math.min(f.statedLifeKm, byWearKm);
}
