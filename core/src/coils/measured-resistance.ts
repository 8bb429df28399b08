import { within } from '../fitment/tolerance.ts';
import type { Span } from '../facts/fact-shapes.ts';

/** What was read on a coil, and on the meter's own leads held together. Resistances in Ω. */
export interface CoilReading {
  readonly readOhm: number;
  readonly shortedOhm: number;
  readonly coilTempC: number;
  /** How far the meter may be off at this reading, either way. */
  readonly meterErrorOhm: number;
}

/** Of copper, per °C from 20 °C. Coils: Measured resistance. */
const COPPER_PER_C = 0.00393;
const REFERENCE_C = 20;
/** A meter that may err by more than this share of the tolerance cannot tell. */
const ERROR_SHARE = 0.5;

/** A reading less the leads' own resistance, brought to 20 °C. */
export const at20C = ({ readOhm, shortedOhm, coilTempC }: CoilReading): number =>
  (readOhm - shortedOhm) / (1 + COPPER_PER_C * (coilTempC - REFERENCE_C));

/**
 * Whether a coil's winding is what its maker states, at 20 °C. `cannot-tell` where the meter's error exceeds half the
 * tolerance: such a reading neither clears a coil nor condemns it. Coils: Measured resistance.
 */
export function judgeReading(reading: CoilReading, stated: Span) {
  const ohmAt20C = at20C(reading);
  const toleranceOhm = (stated.high - stated.low) / 2;
  const verdict = !within(reading.meterErrorOhm, toleranceOhm * ERROR_SHARE)
    ? 'cannot-tell'
    : within(stated.low, ohmAt20C) && within(ohmAt20C, stated.high)
      ? 'inside'
      : ohmAt20C < stated.low
        ? 'too-low'
        : 'too-high';
  return { ohmAt20C, toleranceOhm, verdict } as const;
}
