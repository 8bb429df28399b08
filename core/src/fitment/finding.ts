import type { CheckId } from './check-ids.ts';
import type { FactId, FactSource } from '../facts/facts.ts';

/** Outcomes of one check, mildest first. `not-asked` means the check does not arise here. */
export const OUTCOMES = ['not-asked', 'match', 'acceptable', 'caution', 'unknown', 'refuse'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** Plain figures of a judgement; names carry their unit. */
export type Figures = Readonly<Record<string, number | string | boolean | readonly string[] | null>>;

/** A finding in words, made from its figures alone. */
export interface Telling {
  /** What the engine asks. */
  readonly asked: string;
  /** What the plug has. */
  readonly has: string;
  /** The difference with its unit, where one can be told. */
  readonly difference: string | null;
  /** One sentence: what this means and what would go wrong. */
  readonly says: string;
  /** What to do about it. */
  readonly toDo: string | null;
  /** The reason in a few words, for the tray's row. */
  readonly phrase: string;
}

export interface FactUsed {
  readonly fact: FactId;
  readonly source: FactSource;
  /** A figure that speaks against the ruling one and raised the question. */
  readonly questions?: boolean;
}

/** Why an unknown was let through: the maker's own number, or a listing. Plugs: Overall. */
export type Relief = 'as-specified' | 'listed-not-measured';

/** One check's answer for one plug at one position. */
export interface Finding {
  readonly check: CheckId;
  readonly outcome: Outcome;
  /** Which of the check's cases it is, for explaining and for tests. */
  readonly caseId: string;
  readonly figures: Figures;
  readonly told: Telling;
  readonly sources: readonly FactUsed[];
  /** Facts that would settle an unknown. */
  readonly missing: readonly FactId[];
  /** An unknown that could still turn into a refusal here: an open question nobody can release. */
  readonly blocks: boolean;
  /** Difference as a share of the match limit, for numeric checks; orders equal rows by closeness. */
  readonly closeness: number;
  readonly relief?: Relief;
}

const CLOSENESS_PARTS = 10_000;
/** Four places: closer than that is the same, and a sum of rounded ones is the same in any order. */
export const roundCloseness = (sum: number): number => Math.round(sum * CLOSENESS_PARTS) / CLOSENESS_PARTS;
