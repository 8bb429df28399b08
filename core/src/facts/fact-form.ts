import type { FactAnswer } from './fact-answers.ts';
import { FACTS, RECORDED_SHAPES, type RecordedFactId, type SourceRank } from './facts.ts';

/** How somebody who keeps the catalogue writes a figure down. */
export type FactForm =
  /** A number in the unit of the fact, read as a quantity of a kind. */
  | {
      readonly kind: 'figure';
      readonly quantity: Extract<FactAnswer, { kind: 'measure' }>['quantity'] | 'distance';
      readonly unit: 'mm' | 'kΩ' | 'km';
    }
  | { readonly kind: 'choose'; readonly options: Extract<FactAnswer, { kind: 'choose' }>['options'] }
  /** A maker's rating, on their own scale. */
  | { readonly kind: 'heat' };

/** Sources a figure may be written down from by hand; what was gauged comes from a slip, a house rule from the house rules. */
export const WRITTEN_RANKS = [
  'engine-maker',
  'part-maker',
  'supplier',
  'hearsay',
] as const satisfies readonly SourceRank[];

/** Undefined for what has parts of its own (a torque with its condition, a set of leads): it is filled in by its shape. */
export function formOf(fact: RecordedFactId): FactForm | undefined {
  if (fact === 'plug.heat') return { kind: 'heat' };
  const { answer, printedAs } = FACTS[fact];
  if (answer?.kind === 'choose') return answer;
  if (answer) return { kind: 'figure', quantity: answer.quantity, unit: answer.unit };
  return printedAs === 'distance' ? { kind: 'figure', quantity: 'distance', unit: 'km' } : undefined;
}

/** What was read in the fact's unit, or chosen, as it is recorded. */
export const toRecord = (fact: RecordedFactId, value: unknown): unknown =>
  fact === 'plug.resistor' && typeof value === 'number' ? { kind: 'value', kohm: value } : value;

/** Whether a value is one that the fact records. */
export const isRecordable = (fact: RecordedFactId, value: unknown): boolean =>
  RECORDED_SHAPES[fact].safeParse(value).success;

const PREFIX: Readonly<Record<string, string>> = { 'lead-set': 'leads' };

/** The facts that a catalogue records of a kind of part. */
export const factsOfKind = (kind: string): readonly RecordedFactId[] =>
  (Object.keys(RECORDED_SHAPES) as RecordedFactId[]).filter((fact) => fact.startsWith(`${PREFIX[kind] ?? kind}.`));

export const isRecordedFact = (fact: string): fact is RecordedFactId => fact in RECORDED_SHAPES;
