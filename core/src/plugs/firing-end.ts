import type { Span } from '../facts/fact-shapes.ts';
import type { FactTypes } from '../facts/facts.ts';
import type { GapAdjust } from '../facts/plug-facts.ts';

/** The facts of a plug's firing end that set how deep it stands. */
export interface FiringEnd {
  readonly reachMm: number;
  readonly projectionMm: number;
  readonly groundForm: FactTypes['plug.groundForm'];
  /** Upper limit of the gap it will be set to. */
  readonly gapUpperMm: number;
  readonly groundThicknessMm: number;
}

/**
 * The deepest point of a plug below its seat face, mm: over the tip a ground electrode stands a gap and its own thickness
 * further; a side or surface ground ends at the tip. Plugs: Depth.
 */
export function deepestPointMm(end: FiringEnd): number {
  const tip = end.reachMm + end.projectionMm;
  return end.groundForm === 'over-tip' ? tip + end.gapUpperMm + end.groundThicknessMm : tip;
}

/** The facts of a gap that set how wide it may stand in the engine. */
export interface GapFacts {
  readonly adjust: GapAdjust | undefined;
  readonly deliveredMm: number | undefined;
  readonly toleranceMm: number | undefined;
  readonly asked: Span;
}

/** Upper limit of the gap a plug will run with, mm: that of the asked range, or as delivered where it must not be set. */
export function gapUpperLimitMm({ adjust, deliveredMm, toleranceMm, asked }: GapFacts): number {
  return adjust?.kind === 'fixed' && deliveredMm !== undefined ? deliveredMm + (toleranceMm ?? 0) : asked.high;
}
