import { ATMOSPHERE_KPA } from '../quantities/atmosphere.ts';
import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { SchoolOf } from '../house-rules/house-rules.ts';

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

/** A duty with the boost the engine was built with, from the catalogue, where it was not told. */
export function withFactoryBoost(duty: Duty, position: FactSheet): Duty {
  const built = rulingValue(position, 'position.boostKpa');
  return duty.factoryBoostKpa !== undefined || built === undefined ? duty : { ...duty, factoryBoostKpa: built };
}

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

/** From so much more output on, or in competition, an engine counts as modified. Service: Interval. */
const MODIFIED_FROM = 1.1;

/** Whether what was done to an engine makes it one that the maker's figures were not proven on. Service: Interval. */
export const isModified = (duty: Duty): boolean =>
  outputRatio(duty) >= MODIFIED_FROM - 1e-9 || duty.className !== undefined;
