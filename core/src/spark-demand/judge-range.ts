import type { Span } from '../facts/fact-shapes.ts';
import type { SparkPlug } from './demand.ts';
import {
  estimateSpark,
  sayMargin,
  TIGHT,
  widestGap,
  type GapAdvice,
  type MarginWord,
  type SparkEstimate,
  type SparkSetting,
} from './margin.ts';

/** So much wider the gap may stand before the plug is renewed. Spark demand: Margin. */
export const GROWTH_MM = 0.2;

type Estimated = Extract<SparkEstimate, { kind: 'estimated' }>;

/** What a gap range asks, at its widest: as set, and at the end of the plug's life. */
export type RangeJudgement =
  | {
      readonly kind: 'judged';
      /** As set; or that it is short before the plug is worn. */
      readonly word: MarginWord | 'runs-out';
      readonly fresh: Estimated;
      readonly worn: Estimated;
      readonly advice: GapAdvice;
    }
  | { readonly kind: 'outside-table' };

/** Judges a gap range for an engine and its coil. Gaps in mm. Spark demand: Margin. */
export function judgeRange(
  setting: SparkSetting,
  plug: Omit<SparkPlug, 'gapMm' | 'lifeUsed'>,
  range: Span,
): RangeJudgement {
  const fresh = estimateSpark(setting, { ...plug, gapMm: range.high, lifeUsed: 0 });
  const worn = estimateSpark(setting, { ...plug, gapMm: range.high + GROWTH_MM, lifeUsed: 1 });
  if (fresh.kind !== 'estimated' || worn.kind !== 'estimated') return { kind: 'outside-table' };
  const asSet = sayMargin(fresh.lowest.margin);
  const runsOut = asSet !== 'misfire-likely' && worn.lowest.margin < TIGHT;
  return {
    kind: 'judged',
    word: runsOut ? 'runs-out' : asSet,
    fresh,
    worn,
    advice: widestGap(setting, plug, range, { growthMm: GROWTH_MM, lifeUsed: 1 }),
  };
}
