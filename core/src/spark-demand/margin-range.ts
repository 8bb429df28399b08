import type { Span } from '../facts/fact-shapes.ts';
import { grownMm } from '../wear/growth.ts';
import { widestGap, type SparkSetting } from './margin.ts';
import type { FittedPlug } from './spark-sheet.ts';

/** A boosted engine's gap may be closed down to here, mm. Spark demand: Margin. */
const BOOSTED_FLOOR_MM = 0.5;
/** The margin school's range reaches so far below its widest gap, mm. Spark demand: Margin. */
const BELOW_MM = 0.1;

/** How a plug stands at its interval's end. */
export interface EndOfInterval {
  readonly growthMm: number;
  /** Share of its life, 0 to 1. */
  readonly lifeUsed: number;
}

/** Where a plug stands when its interval is run; worn where nobody knows its life or its interval. Spark demand: Margin. */
export function endOfInterval(
  intervalKm: number | undefined,
  lifeKm: number | undefined,
  { perTenThousandKmMm, dutyFactor }: { readonly perTenThousandKmMm: number; readonly dutyFactor: number },
): EndOfInterval | undefined {
  if (intervalKm === undefined) return undefined;
  const lifeUsed = lifeKm === undefined ? 1 : Math.min(1, intervalKm / (lifeKm / dutyFactor));
  return { growthMm: grownMm(intervalKm, perTenThousandKmMm), lifeUsed };
}

/** What the margin school asks in place of the engine maker's range. Gaps in mm. */
export type MarginRange =
  | { readonly kind: 'range'; readonly range: Span; readonly asSet: number; readonly atEnd: number }
  /** Not even the narrowest keeps what is asked; it is what is left to set. */
  | { readonly kind: 'none-holds'; readonly range: Span; readonly asSet: number; readonly atEnd: number }
  | { readonly kind: 'not-estimated' };

const toHundredth = (mm: number): number => Math.round(mm * 100) / 100;

/**
 * The gap range of the margin school: from the widest gap that keeps 30% as set and 15% at the interval's end, down by 0.10 mm,
 * never under the floor, which is the maker's own low end, or 0.5 mm where it is boosted. Spark demand: Margin.
 */
export function marginRange(setting: SparkSetting, plug: FittedPlug, makers: Span, end: EndOfInterval): MarginRange {
  const isBoosted = setting.engine.boostKpa > 0;
  const floor = isBoosted ? Math.min(makers.low, BOOSTED_FLOOR_MM) : makers.low;
  const advice = widestGap(setting, plug, { low: floor, high: makers.high }, end);
  if (advice.kind === 'outside-table') return { kind: 'not-estimated' };
  if (advice.kind === 'none')
    return {
      kind: 'none-holds',
      range: { low: floor, high: floor },
      asSet: advice.asSet,
      atEnd: advice.atEnd,
    };
  const { gapMm, asSet, atEnd } = advice;
  return { kind: 'range', range: { low: toHundredth(Math.max(floor, gapMm - BELOW_MM)), high: gapMm }, asSet, atEnd };
}
