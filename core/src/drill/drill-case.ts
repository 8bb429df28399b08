import type { Outcome } from '../fitment/finding.ts';
import type { DrillTopic } from './topics.ts';

/** Chance, from 0 up to but not 1: whoever deals the cases brings it, so that a test can deal the same ones again. */
export type Draw = () => number;

export interface DrillFact {
  readonly label: string;
  readonly says: string;
  /** A number, a stamping or a measurement: set in the letters of those. */
  readonly isCode?: boolean;
}

/** One thing that is held against another, as a tray's why shows it. */
export interface DrillRow {
  readonly title: string;
  readonly asked: string;
  readonly has: string;
  /** What it amounts to, with its reason: part of the answer. */
  readonly outcome: Outcome;
  readonly says: string;
}

export interface DrillChoice {
  readonly id: string;
  readonly says: string;
}

/** A practice case with its answer, which is not shown before it is given. */
export interface DrillCase {
  readonly topic: DrillTopic;
  readonly asks: string;
  readonly facts: readonly DrillFact[];
  readonly rows: readonly DrillRow[];
  /** In their order on screen; one of them is right. */
  readonly choices: readonly DrillChoice[];
  readonly right: string;
  /** Why it is right: what decides first. */
  readonly why: readonly string[];
}

/** One of some things. */
export const drawn = <T>(things: readonly T[], draw: Draw): T | undefined => things[Math.floor(draw() * things.length)];

/** The same things in another order. */
export const shuffled = <T>(things: readonly T[], draw: Draw): T[] =>
  things
    .map((thing) => ({ thing, at: draw() }))
    .sort((a, b) => a.at - b.at)
    .map(({ thing }) => thing);

/** The case of the first of some things, in an order by chance, that has one: many have nothing to ask. */
export function firstCase<T>(
  things: readonly T[],
  draw: Draw,
  caseOf: (thing: T) => DrillCase | undefined,
): DrillCase | undefined {
  for (const thing of shuffled(things, draw)) {
    const dealt = caseOf(thing);
    if (dealt) return dealt;
  }
  return undefined;
}

const MOST_WRONG = 3;

/**
 * The right answer among wrong ones, no two of which say the same; their ids are their places, which tell nothing. Undefined where
 * there is nothing to choose between.
 */
export function choicesAmong(
  right: string,
  wrong: readonly string[],
  draw: Draw,
): Pick<DrillCase, 'choices' | 'right'> | undefined {
  const others = [...new Set(wrong)].filter((says) => says !== right);
  if (others.length === 0) return undefined;
  const all = shuffled([right, ...shuffled(others, draw).slice(0, MOST_WRONG)], draw);
  return { choices: all.map((says, i) => ({ id: String(i + 1), says })), right: String(all.indexOf(right) + 1) };
}
