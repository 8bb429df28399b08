import type { Span } from '../facts/fact-shapes.ts';
import { MATERIALS, type Material } from '../facts/plug-facts.ts';
import { kmUntil, usualGrowthMm, WORN_PAST_MM } from '../wear/growth.ts';

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
  const growthMm = usualGrowthMm({ material: ground, isForced: f.aspiration === 'forced' });
  const middle = (gapMm.low + gapMm.high) / 2;
  const byWearKm = Math.round(kmUntil(middle, gapMm.high + WORN_PAST_MM, growthMm) / 100) * 100;
  return f.statedLifeKm === undefined ? byWearKm : Math.min(f.statedLifeKm, byWearKm);
}
