/** One rating of a maker's scale on the common heat index. */
export interface HeatRating {
  readonly code: string;
  /** Pre-ignition rating as mean effective pressure, bar; the higher, the colder the plug. */
  readonly indexBar: number;
}

/** A maker's ratings ordered from hot to cold, whichever way its own numbers run. Plugs: Heat rating. */
export interface HeatScale {
  readonly maker: string;
  readonly ratings: readonly HeatRating[];
}

/** Whether each rating is colder than the one before, and called differently. */
export const isHotToCold = (ratings: HeatScale['ratings']): boolean =>
  ratings.every(({ indexBar }, i) => i === 0 || indexBar > ratings[i - 1]!.indexBar) &&
  new Set(ratings.map(({ code }) => code)).size === ratings.length;

/** The index of a maker's code in bar, or undefined when the scale does not hold it. */
export function heatIndexBar(scale: HeatScale, code: string): number | undefined {
  return scale.ratings.find((rating) => rating.code === code)?.indexBar;
}

export interface ScalePlace {
  /** Continuous position on the scale, 0 at its hottest rating, one a step. */
  readonly steps: number;
  /** The index lies past the scale's end, so the last step was repeated. */
  readonly beyondEnd: boolean;
}

/** Where a heat index falls on a scale: interpolated between ratings, extended by the last step past either end. */
export function placeOnScale(scale: HeatScale, indexBar: number): ScalePlace {
  const { ratings } = scale;
  if (ratings.length < 2) throw new RangeError(`The heat scale of ${scale.maker} needs two ratings or more.`);
  const last = ratings.length - 1;
  let at = 0;
  while (at < last - 1 && indexBar > ratings[at + 1]!.indexBar) at += 1;
  const [hot, cold] = [ratings[at]!, ratings[at + 1]!];
  const beyondEnd = indexBar < ratings[0]!.indexBar || indexBar > ratings[last]!.indexBar;
  return { steps: at + (indexBar - hot.indexBar) / (cold.indexBar - hot.indexBar), beyondEnd };
}

/** The heat index at a place of a scale, extended by the last step past either end. Inverse of `placeOnScale`. */
export function indexAt(scale: HeatScale, steps: number): number {
  const { ratings } = scale;
  const low = Math.max(0, Math.min(ratings.length - 2, Math.floor(steps)));
  const [hot, cold] = [ratings[low]!, ratings[low + 1]!];
  return hot.indexBar + (steps - low) * (cold.indexBar - hot.indexBar);
}

export interface HeatDifference {
  /** Positive is colder than the required ratings, negative hotter, zero inside their range; in the required maker's steps. */
  readonly stepsColder: number;
  readonly beyondEnd: boolean;
}

/**
 * How many steps a plug stands from a set of required ratings, measured on the required maker's own scale.
 * The difference is taken from the nearest end of the set; `offsetSteps` moves every rating of it colder.
 */
export function stepsFromRatings(
  scale: HeatScale,
  requiredIndexBar: readonly number[],
  offeredIndexBar: number,
  offsetSteps = 0,
): HeatDifference {
  const places = requiredIndexBar.map((index) => placeOnScale(scale, index).steps + offsetSteps);
  const { steps, beyondEnd } = placeOnScale(scale, offeredIndexBar);
  const [hottest, coldest] = [Math.min(...places), Math.max(...places)];
  const stepsColder = steps > coldest ? steps - coldest : steps < hottest ? steps - hottest : 0;
  return { stepsColder: Number(stepsColder.toFixed(6)), beyondEnd };
}
