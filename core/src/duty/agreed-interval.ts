import type { SchoolOf } from '../house-rules/house-rules.ts';
import { isModified, type Duty } from './duty.ts';

type School = SchoolOf<'interval'>;

/** A modified engine keeps so much of the base; the cautious school less. Service: Interval. */
const MODIFIED: Readonly<Record<School, number>> = { 'engine-maker': 0.5, 'part-life': 0.5, cautious: 0.3 };
const CAUTIOUS = 2 / 3;

/** The share of the base that is agreed with the customer; 1 is the base itself. */
const intervalShare = (school: School, duty: Duty): number =>
  isModified(duty) ? MODIFIED[school] : school === 'cautious' ? CAUTIOUS : 1;

/** How much sooner plugs wear, and their life is used, in this duty: 1 for an engine as built. Service: Interval. */
export const wearFactor = (school: School, duty: Duty): number => (isModified(duty) ? 1 / MODIFIED[school] : 1);

/** In what it is counted: what is computed is rounded down to whole steps of it, what a maker prints stands. */
export type CountedIn = 'km' | 'hours';
const stepOf = (value: number, countedIn: CountedIn): number =>
  countedIn === 'hours' ? 10 : value < 10_000 ? 100 : 1000;

/** A computed interval, never told for more than it is: whole thousands of km, under ten thousand hundreds; tens of hours. Service: Interval. */
export function roundedDown(value: number, countedIn: CountedIn): number {
  const step = stepOf(value, countedIn);
  return Math.floor(value / step + 1e-9) * step;
}

/** How an interval came to be agreed. */
export interface AgreedInterval {
  readonly value: number;
  /** Whose figure it starts from. */
  readonly base: 'engine-maker' | 'part-life';
  /** What was done to it: 1 where it stands as printed. */
  readonly share: number;
  /** The engine maker's interval is longer than this part lives. */
  readonly outlivesPart: boolean;
}

/**
 * The interval agreed with the customer, from the engine maker's and the part's stated life, in km or running hours. The base
 * is the lesser of the two; by the school of the part's life it is that life, a modified engine's excepted. Undefined where
 * neither is known. Service: Interval.
 */
export function agreedInterval(
  school: School,
  duty: Duty,
  { makers, life }: { readonly makers: number | undefined; readonly life?: number | undefined },
  countedIn: CountedIn = 'km',
): AgreedInterval | undefined {
  const takesLife = school === 'part-life' && !isModified(duty);
  const base =
    life !== undefined && (makers === undefined || takesLife || life < makers)
      ? ({ value: life, base: 'part-life' } as const)
      : makers === undefined
        ? undefined
        : ({ value: makers, base: 'engine-maker' } as const);
  if (!base) return undefined;
  const share = intervalShare(school, duty);
  const value = share === 1 ? base.value : roundedDown(base.value * share, countedIn);
  return { ...base, value, share, outlivesPart: makers !== undefined && life !== undefined && makers > life + 1e-9 };
}
