import type { Span } from '../facts/fact-shapes.ts';
import { availableKv, type SparkSource } from './available.ts';
import { demandKv, type SparkPath, type SparkPlug } from './demand.ts';
import { operatingPoints, type OperatingPointId, type SparkEngine } from './operating-points.ts';

/** From here a margin is comfortable; from the other it is tight, and below a misfire is likely. Spark demand: Margin. */
export const COMFORTABLE = 0.3;
export const TIGHT = 0.15;

export type MarginWord = 'comfortable' | 'tight' | 'misfire-likely';
export const sayMargin = (margin: number): MarginWord =>
  margin >= COMFORTABLE ? 'comfortable' : margin >= TIGHT ? 'tight' : 'misfire-likely';

export interface PointEstimate {
  readonly id: OperatingPointId;
  readonly demandKv: number;
  readonly availableKv: number;
  readonly margin: number;
}

/** Demand against reserve at each operating point, or that it is not estimated. */
export type SparkEstimate =
  | { readonly kind: 'estimated'; readonly points: readonly PointEstimate[]; readonly lowest: PointEstimate }
  | { readonly kind: 'outside-table' };

export interface SparkSetting {
  readonly engine: SparkEngine;
  readonly source: SparkSource;
  readonly path: SparkPath;
  /** This very vehicle has run on so much more than is reckoned; 1 where nothing of it is known. Spark demand: Evidence from use. */
  readonly shownToGive?: number | undefined;
}

/** The estimate for one plug at one gap; the lowest margin decides. Spark demand: Margin. */
export function estimateSpark({ engine, source, path, shownToGive = 1 }: SparkSetting, plug: SparkPlug): SparkEstimate {
  const points: PointEstimate[] = [];
  for (const point of operatingPoints(engine)) {
    const reckoned = availableKv(source, point);
    if (reckoned === undefined) return { kind: 'outside-table' };
    const available = reckoned * shownToGive;
    const demand = demandKv(plug, point, { isOnGas: engine.isOnGas, path });
    points.push({ id: point.id, demandKv: demand, availableKv: available, margin: 1 - demand / available });
  }
  return { kind: 'estimated', points, lowest: points.reduce((a, b) => (b.margin < a.margin ? b : a)) };
}

/** Gaps that can be asked for, mm, widest first: the hundredths that lie inside a range, or its low end where none does. */
function gapsInside({ low, high }: Span): readonly number[] {
  const [first, last] = [Math.ceil(low * 100 - 1e-6), Math.floor(high * 100 + 1e-6)];
  return last < first ? [low] : Array.from({ length: last - first + 1 }, (_, i) => (last - i) / 100);
}

export type GapAdvice =
  /** The widest gap that keeps both. */
  | { readonly kind: 'gap'; readonly gapMm: number; readonly asSet: number; readonly atEnd: number }
  /** Not even the narrowest does. */
  | { readonly kind: 'none'; readonly narrowestMm: number; readonly asSet: number; readonly atEnd: number }
  | { readonly kind: 'outside-table' };

/**
 * The widest gap of a range that keeps 30% as set and 15% at the interval's end, `growthMm` wider and worn by so much of its
 * life. Spark demand: Margin.
 */
export function widestGap(
  setting: SparkSetting,
  plug: Omit<SparkPlug, 'gapMm' | 'lifeUsed'>,
  range: Span,
  end: { readonly growthMm: number; readonly lifeUsed: number },
): GapAdvice {
  const at = (gapMm: number, lifeUsed: number) => {
    const estimate = estimateSpark(setting, { ...plug, gapMm, lifeUsed });
    return estimate.kind === 'estimated' ? estimate.lowest.margin : undefined;
  };
  let last: { gapMm: number; asSet: number; atEnd: number } | undefined;
  for (const gapMm of gapsInside(range)) {
    const [asSet, atEnd] = [at(gapMm, 0), at(gapMm + end.growthMm, end.lifeUsed)];
    if (asSet === undefined || atEnd === undefined) return { kind: 'outside-table' };
    last = { gapMm, asSet, atEnd };
    if (asSet >= COMFORTABLE && atEnd >= TIGHT) return { kind: 'gap', ...last };
  }
  return { kind: 'none', narrowestMm: last!.gapMm, asSet: last!.asSet, atEnd: last!.atEnd };
}
