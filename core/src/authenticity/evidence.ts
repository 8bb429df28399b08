import type { TellAspect } from './tell.ts';

/** Physical and packaging tells, and what paper says: price, batch code. */
export type EvidenceAspect = TellAspect | 'paper';

/** One thing observed. */
export interface EvidenceItem {
  readonly id: string;
  readonly title: string;
  readonly group: string;
  readonly aspect: EvidenceAspect;
  /** Natural logarithm of P(observed | fake) / P(observed | genuine), uncapped; 0 where nothing could be seen. */
  readonly logRatio: number;
  /** Nothing could be seen; what was seen and weighs nothing either way was seen all the same. */
  readonly unseen?: boolean;
}

/** Caps of a likelihood ratio. Proof: Evidence: one sign never decides alone, and correlated ones count once. */
export const CAPS = {
  physical: { low: Math.log(1 / 4), high: Math.log(20) },
  packaging: { low: Math.log(1 / 4), high: Math.log(20) },
  paper: { low: Math.log(1 / 3), high: Math.log(3) },
} as const satisfies Readonly<Record<EvidenceAspect, { low: number; high: number }>>;

/** One bar of the waterfall: what an observation moved, after the caps. */
export interface EvidenceStep {
  readonly id: string;
  readonly title: string;
  readonly group: string;
  readonly aspect: EvidenceAspect;
  readonly moved: number;
  /** Whether a cap held part of it back. */
  readonly capped: boolean;
  readonly logOddsAfter: number;
}

export interface Weighed {
  readonly steps: readonly EvidenceStep[];
  readonly logOdds: number;
  /** Chance that the piece is not genuine, 0 to 1. */
  readonly chance: number;
}

export const logOddsOf = (chance: number): number => Math.log(chance / (1 - chance));
export const chanceOf = (logOdds: number): number => 1 / (1 + Math.exp(-logOdds));

const clamp = (value: number, { low, high }: { low: number; high: number }): number =>
  Math.min(high, Math.max(low, value));

/**
 * Adds observations to a prior on the log-odds axis: each is capped, then its group, then all are summed. The sum does not
 * depend on the order; within a group the bars do. `prior` lies between 0 and 1, both excluded.
 */
export function weigh(prior: number, items: readonly EvidenceItem[]): Weighed {
  let logOdds = logOddsOf(prior);
  const groupSums = new Map<string, number>();
  const steps = items.map((item): EvidenceStep => {
    const cap = CAPS[item.aspect];
    const before = groupSums.get(item.group) ?? 0;
    const after = before + clamp(item.logRatio, cap);
    groupSums.set(item.group, after);
    const moved = clamp(after, cap) - clamp(before, cap);
    logOdds += moved;
    const { id, title, group, aspect } = item;
    return { id, title, group, aspect, moved, capped: Math.abs(moved - item.logRatio) > 1e-9, logOddsAfter: logOdds };
  });
  return { steps, logOdds, chance: chanceOf(logOdds) };
}
