import { scaleLinear } from 'd3-scale';
import { fromBase, toBase } from '@brackenfell/core/quantities/units';
import type { TorqueRange } from '@brackenfell/core/quantities/general-torques';

/** Where torques stand on one axis, in percent of its width, with the ticks of both systems. */
export interface TorqueScale {
  readonly at: (nm: number) => number;
  readonly nmTicks: readonly number[];
  readonly lbfFtTicks: readonly { readonly lbfFt: number; readonly nm: number }[];
}

const AROUND = 0.12;

/** An axis that holds every source and the answer; it begins at nothing only where a source does. */
export function torqueScale(ranges: readonly TorqueRange[]): TorqueScale {
  const all = ranges.flatMap(({ lowNm, highNm }) => [lowNm, highNm]);
  const [low, high] = all.length === 0 ? [10, 30] : [Math.min(...all), Math.max(...all)];
  const room = Math.max(2, (high - low) * AROUND);
  const [from, to] = [Math.max(0, low - room), high + room];
  const scale = scaleLinear([from, to], [0, 100]);
  const imperial = scaleLinear([fromBase(from, 'lbfFt'), fromBase(to, 'lbfFt')], [0, 100]);
  return {
    at: (nm) => scale(nm),
    nmTicks: scale.ticks(3),
    lbfFtTicks: imperial.ticks(3).map((lbfFt) => ({ lbfFt, nm: toBase(lbfFt, 'lbfFt') })),
  };
}
