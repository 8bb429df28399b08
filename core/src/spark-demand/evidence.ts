import { estimateSpark, type SparkSetting } from './margin.ts';
import type { FittedPlug } from './spark-sheet.ts';

/** What this very vehicle has shown: a set that ran, its gap as it came out. */
export interface SparkEvidence {
  /** As it was on removal, mm. */
  readonly gapMm: number;
  readonly ranKm: number;
  /** The plugs were read, and all were healthy. */
  readonly readHealthy: boolean;
  /** Gauged here; a customer's word raises a question and nothing else. */
  readonly gaugedHere: boolean;
}

/** A set that ran so far without a fault says something. Spark demand: Evidence from use. */
const LEAST_KM = 1000;
/** What ran well had at least this share of the voltage to spare. */
const SHARE_USED = 0.85;

export type Evidence =
  /** The coil has given at least so much more than it is reckoned with: a lower bound, never less than one. */
  | { readonly kind: 'admitted'; readonly factor: number }
  | { readonly kind: 'question'; readonly because: 'not-gauged' | 'too-short' | 'not-healthy' }
  | { readonly kind: 'outside-table' };

/**
 * What is available, by what this vehicle has run on: available × max(1, demand / (0.85 · available)) at the hardest point of
 * the gap it ran with, the plugs worn. Spark demand: Evidence from use.
 */
export function admitEvidence(setting: SparkSetting, plug: FittedPlug, evidence: SparkEvidence): Evidence {
  if (!evidence.gaugedHere) return { kind: 'question', because: 'not-gauged' };
  if (evidence.ranKm < LEAST_KM) return { kind: 'question', because: 'too-short' };
  if (!evidence.readHealthy) return { kind: 'question', because: 'not-healthy' };
  const ran = estimateSpark(setting, { ...plug, gapMm: evidence.gapMm, lifeUsed: 1 });
  if (ran.kind === 'outside-table') return ran;
  const { demandKv, availableKv } = ran.lowest;
  return { kind: 'admitted', factor: Math.max(1, demandKv / (SHARE_USED * availableKv)) };
}

/** A setting whose source has been shown to give so much more. */
export const withEvidence = (setting: SparkSetting, factor: number): SparkSetting =>
  factor <= 1 ? setting : { ...setting, shownToGive: factor };
