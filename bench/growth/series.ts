import { percentile } from '../percentiles.ts';

/** How long one thing takes as what it works on grows. */
export interface Series {
  readonly what: string;
  /** What is counted. */
  readonly of: string;
  readonly points: readonly { readonly count: number; readonly ms: number }[];
}

/** The power of the count that the time grows by: the slope of the line of least squares through the logarithms. */
export function exponentOf({ points }: Series): number {
  const [x, y] = [points.map(({ count }) => Math.log(count)), points.map(({ ms }) => Math.log(ms))];
  const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;
  const [middleX, middleY] = [mean(x), mean(y)];
  const sum = (of: (i: number) => number) => points.reduce((all, _, i) => all + of(i), 0);
  return sum((i) => (x[i]! - middleX) * (y[i]! - middleY)) / sum((i) => (x[i]! - middleX) ** 2);
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
