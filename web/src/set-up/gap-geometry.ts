import { scaleLinear } from 'd3-scale';
import type { Span } from '@brackenfell/core/facts/fact-shapes';

/** Room about what is drawn, mm. */
const AROUND_MM = 0.08;
/** Less than this is never shown: a strip that magnifies a hundredth says nothing. */
const LEAST_MM = 0.5;

/** Where gaps stand on a strip, in percent of its width. */
export interface GapScale {
  readonly at: (mm: number) => number;
  readonly ticks: readonly number[];
}

/** A scale that holds the range, the worn limit and every reading, to one measure for all pieces. */
export function gapScale(range: Span | undefined, readings: readonly number[], wornAtMm: number | undefined): GapScale {
  const all = [...readings, ...(range ? [range.low, range.high] : []), ...(wornAtMm === undefined ? [] : [wornAtMm])];
  const [low, high] = all.length === 0 ? [0.5, 1.5] : [Math.min(...all), Math.max(...all)];
  const short = Math.max(0, LEAST_MM - (high - low)) / 2;
  const scale = scaleLinear([Math.max(0, low - short - AROUND_MM), high + short + AROUND_MM], [0, 100]);
  return { at: (mm) => scale(mm), ticks: scale.ticks(4) };
}
