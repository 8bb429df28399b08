import type { Span } from '../facts/fact-shapes.ts';
import type { EndOfInterval } from './margin-range.ts';
import { widestGap, type SparkSetting } from './margin.ts';
import type { FittedPlug } from './spark-sheet.ts';

/** What is swept: one engine, plug and coil over the boost it may be given. */
export interface SweepAsked {
  readonly setting: SparkSetting;
  readonly plug: FittedPlug;
  /** Gaps that are looked at, mm. */
  readonly gaps: Span;
  readonly end: EndOfInterval;
  readonly boostKpa: Span;
  readonly steps: number;
}

/** The widest gap that holds at a boost; null where none does. */
export interface SweptBoost {
  readonly boostKpa: number;
  readonly widestMm: number | null;
}

/** Looks at one boost after another, so that whoever asked may be told meanwhile, or may stop asking. Spark demand: Margin. */
export function* sweepBoost({ setting, plug, gaps, end, boostKpa, steps }: SweepAsked): Generator<SweptBoost> {
  for (let i = 0; i <= steps; i += 1) {
    const boost = boostKpa.low + ((boostKpa.high - boostKpa.low) * i) / steps;
    const at = { ...setting, engine: { ...setting.engine, boostKpa: boost } };
    const advice = widestGap(at, plug, gaps, end);
    yield { boostKpa: boost, widestMm: advice.kind === 'gap' ? advice.gapMm : null };
  }
}
