import { ATMOSPHERE_KPA } from './intake.ts';
import type { SchoolOf } from '../house-rules/house-rules.ts';
import type { Span } from '../facts/fact-shapes.ts';

/** What the customer does with the engine, and what was changed on it. Nothing set is standard duty. */
export interface Duty {
  readonly sustainedLoad?: boolean | undefined;
  readonly shortColdRuns?: boolean | undefined;
  /** Converted to gas; an engine made for gas asks its own. */
  readonly gasFuel?: boolean | undefined;
  /** Specific output against the factory's: 1.33 is a third more. */
  readonly powerRatio?: number | undefined;
  /** Boost above the atmosphere now, and as the factory set it, kPa. */
  readonly boostKpa?: number | undefined;
  readonly factoryBoostKpa?: number | undefined;
  /** A sanctioned class, and the day it is for (YYYY-MM-DD; today when left out). */
  readonly className?: string | undefined;
  readonly classDate?: string | undefined;
}

export const STANDARD_DUTY: Duty = {};

/** How much more a changed engine gives: the larger of power and absolute intake pressure. Plugs: Heat rating. */
export function outputRatio({ powerRatio, boostKpa, factoryBoostKpa = 0 }: Duty): number {
  const pressure = boostKpa === undefined ? 1 : (ATMOSPHERE_KPA + boostKpa) / (ATMOSPHERE_KPA + factoryBoostKpa);
  return Math.max(1, powerRatio ?? 1, pressure);
}

export const pressureRatio = ({ boostKpa, factoryBoostKpa = 0 }: Duty): number =>
  boostKpa === undefined ? 1 : Math.max(1, (ATMOSPHERE_KPA + boostKpa) / (ATMOSPHERE_KPA + factoryBoostKpa));

/** One step colder for so much more output. Plugs: Heat rating. */
const STEP_RATIO = 0.33;
const SUSTAINED_STEPS = 0.5;
const MOST_STEPS = 2;
const GAS_STEPS = 1;

const toHalf = (steps: number): number => Math.round(steps * 2) / 2;

/**
 * How many steps colder a school puts the target for a duty. Gas conversion counts in both schools unless the engine's own
 * requirement is for gas already. Plugs: Heat rating.
 */
export function heatOffsetSteps(school: SchoolOf<'heatWithPower'>, duty: Duty, madeFor: 'petrol' | 'gas'): number {
  const gas = duty.gasFuel === true && madeFor === 'petrol' ? GAS_STEPS : 0;
  if (school === 'stay-stock') return gas;
  const power = toHalf((outputRatio(duty) - 1) / STEP_RATIO);
  const load = duty.sustainedLoad === true ? SUSTAINED_STEPS : 0;
  return Math.min(MOST_STEPS, power + load) + gas;
}

/** A boosted engine's gap is not closed below this. Gap and wear: Duty. */
const LEAST_GAP_MM = 0.5;

const toHundredth = (mm: number): number => Math.round(mm * 100) / 100;

/**
 * The gap range a school asks for a duty. Breakdown follows pressure times distance (domain section 8), so the gap that asks
 * of the coil what the stock one did is the stock range divided by the pressure's rise; a gas conversion, which asks more
 * voltage, uses the range's lower half.
 */
export function gapForDuty(school: SchoolOf<'gapForDuty'>, duty: Duty, stock: Span, madeFor: 'petrol' | 'gas'): Span {
  if (school === 'stock') return stock;
  const ratio = pressureRatio(duty);
  const closed = (mm: number) => toHundredth(Math.max(Math.min(mm, LEAST_GAP_MM), mm / ratio));
  const converted = duty.gasFuel === true && madeFor === 'petrol';
  const high = converted ? (stock.low + stock.high) / 2 : stock.high;
  return { low: closed(stock.low), high: closed(high) };
}

/** Modified engines wear plugs this much sooner; the cautious school takes the lower share. Service: Interval. */
const MODIFIED = { 'engine-maker': 0.5, cautious: 0.3 } as const;
const CAUTIOUS = 2 / 3;

/** From so much more output on, or in competition, an engine counts as modified. Service: Interval. */
const MODIFIED_FROM = 1.1;

/** The share of the engine maker's interval that is agreed with the customer; 1 is the maker's own. */
export function intervalShare(school: SchoolOf<'interval'>, duty: Duty): number {
  if (outputRatio(duty) >= MODIFIED_FROM - 1e-9 || duty.className !== undefined) return MODIFIED[school];
  return school === 'cautious' ? CAUTIOUS : 1;
}

const downTo = (step: number, value: number): number => Math.floor(value / step + 1e-9) * step;

/** The interval agreed, km: what is computed is rounded down to 1 000 km, under 10 000 km to 100; the maker's own stands. */
export function agreedIntervalKm(school: SchoolOf<'interval'>, duty: Duty, makersKm: number): number {
  const share = intervalShare(school, duty);
  if (share === 1) return makersKm;
  return makersKm * share < 10_000 ? downTo(100, makersKm * share) : downTo(1000, makersKm * share);
}

/** The same in running hours, rounded down to ten. */
export function agreedIntervalHours(school: SchoolOf<'interval'>, duty: Duty, makersHours: number): number {
  const share = intervalShare(school, duty);
  return share === 1 ? makersHours : downTo(10, makersHours * share);
}
