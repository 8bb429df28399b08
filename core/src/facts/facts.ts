import { COIL_FACTS } from './coil-facts.ts';
import { DISTRIBUTOR_FACTS } from './distributor-facts.ts';
import type { AnyFact, HeatScales, KnownOf, RecordedOf } from './fact.ts';
import { LEAD_FACTS } from './lead-facts.ts';
import { PLUG_FACTS } from './plug-facts.ts';
import { POSITION_FACTS } from './position-facts.ts';
import { SETTLED_FACTS } from './settled-facts.ts';

/**
 * Every fact the checks may read, by its id: what a part is (`plug.`, `coil.`, `leads.`, `cap.`, `rotor.`), what the engine
 * asks of it (`position.` of a plug, `coilAsked.` and so on of the others), what the shop or the customer has settled
 * (`rule.`, `duty.`, `job.`). Lengths in mm, distance in km; resistance in the unit of its name.
 */
const DECLARED = {
  ...PLUG_FACTS,
  ...POSITION_FACTS,
  ...COIL_FACTS,
  ...LEAD_FACTS,
  ...DISTRIBUTOR_FACTS,
  ...SETTLED_FACTS,
};
type Declared = typeof DECLARED;

export type FactId = keyof Declared;
/** What core judges by. */
export type FactTypes = { readonly [K in FactId]: KnownOf<Declared[K]> };

/** Facts that a catalogue records; the rest are printed names, house rules and duties. */
export type RecordedFactId = { [K in FactId]: Declared[K] extends { readonly recorded: unknown } ? K : never }[FactId];
export type RecordedValue<K extends RecordedFactId> = RecordedOf<Declared[K]>;

/** What a recorded value of each looks like. */
export const RECORDED_SHAPES = Object.fromEntries(
  Object.entries<AnyFact>(DECLARED).flatMap(([id, { recorded }]) => (recorded ? [[id, recorded]] : [])),
) as unknown as {
  readonly [K in RecordedFactId]: Declared[K] extends { readonly recorded: infer S } ? S : never;
};
export const RECORDED_FACT_IDS = Object.keys(RECORDED_SHAPES) as RecordedFactId[];

/** Every fact as it is declared, once. */
export const FACTS: Readonly<Record<FactId, AnyFact>> = DECLARED;

/** What a fact was called when something was told of it; what was told is never rewritten. */
const CALLED_BEFORE: Readonly<Record<string, FactId>> = { 'position.crownMm': 'position.pistonTopMm' };

/** What a fact of a stored judgement is called now. */
export const factNow = (id: string): FactId => CALLED_BEFORE[id] ?? (id as FactId);

/** Reads a recorded value as core judges by it; undefined where it is on no scale that is known. */
export function knowFact<K extends FactId>(id: K, recorded: unknown, scales: HeatScales): FactTypes[K] | undefined {
  const { know } = FACTS[id];
  return (know ? know(recorded as never, scales) : recorded) as FactTypes[K] | undefined;
}

/** Where a figure comes from; strongest first. `gauged` speaks for the piece in hand and its batch. Quantities: Sources. */
export const SOURCE_RANKS = ['gauged', 'engine-maker', 'part-maker', 'supplier', 'hearsay', 'house-rule'] as const;
export type SourceRank = (typeof SOURCE_RANKS)[number];

export interface FactSource {
  readonly rank: SourceRank;
  readonly name: string;
}

export interface Sourced<T> {
  readonly value: T;
  readonly source: FactSource;
}

export interface FactEntry<T> {
  /** The figures that rule: one, or several of equal rank that disagree. Empty when only hearsay speaks. */
  readonly ruling: readonly Sourced<T>[];
  /** Figures that may raise a question but never pass or refuse: hearsay, and what was gauged only once. */
  readonly questioning?: readonly Sourced<T>[];
}

/** All that is known of one plug, or asked at one position. A fact that is absent is unknown. */
export type FactSheet = { readonly [K in FactId]?: FactEntry<FactTypes[K]> };

/** The first ruling value of a fact; undefined when nothing rules it. */
export const rulingValue = <K extends FactId>(sheet: FactSheet, fact: K): FactTypes[K] | undefined =>
  sheet[fact]?.ruling[0]?.value;
