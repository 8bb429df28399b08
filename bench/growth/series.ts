import { percentile } from '../percentiles.ts';

/** How long one thing takes as what it works on grows. */
export interface Series {
  readonly what: string;
  /** What is counted. */
  readonly of: string;
  readonly points: readonly { readonly count: number; readonly ms: number }[];
}

/** The power of the count that the time grows by, over the last step: there what every call costs alike weighs least. */
export function exponentOf({ points }: Series): number {
  const [before, last] = [points.at(-2)!, points.at(-1)!];
  return Math.log(last.ms / before.ms) / Math.log(last.count / before.count);
}

/** How long something takes, the median of some times. */
export async function medianMs(times: number, work: (time: number) => Promise<unknown>): Promise<number> {
  const took: number[] = [];
  for (let time = 0; time < times; time += 1) {
    const start = performance.now();
    await work(time);
    took.push(performance.now() - start);
  }
  return percentile(took, 0.5);
}
