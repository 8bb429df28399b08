import { FACTS, type FactEntry, type FactId, type FactSheet, type Sourced } from '../facts/facts.ts';
import { isOfVehicle } from '../facts/fact-answers.ts';

/** How a reading came about: taken from a device, typed in by hand, or seen. */
export const READING_HOWS = ['gauged', 'typed', 'seen'] as const;
export type ReadingHow = (typeof READING_HOWS)[number];

/** One reading of the pieces on a slip, or of its vehicle. Measures are in the fact's own unit (mm, kΩ). */
export interface PieceReading {
  readonly fact: FactId;
  readonly value: number | string | boolean;
  readonly how: ReadingHow;
  readonly by: string;
}

/** What a reading's number is as the fact's value. */
function asFact(fact: FactId, value: PieceReading['value']): unknown {
  if (fact === 'position.reachMm') return { low: value, high: value };
  if (fact === 'plug.resistor') return { kind: 'value', kohm: value };
  return value;
}

const sourced = (fact: FactId, value: PieceReading['value'], name: string): Sourced<unknown> => ({
  value: asFact(fact, value),
  source: { rank: 'gauged', name },
});

const subject = (fact: FactId): string => (isOfVehicle(fact) ? 'This vehicle' : 'This piece');

/**
 * What readings of one fact amount to, in the order taken. Something seen holds. A measure read once raises a question only;
 * two that agree rule, as their mean, whatever the paper says. Quantities: The piece in hand.
 */
function entryOf(fact: FactId, readings: readonly PieceReading[]): Partial<FactEntry<unknown>> {
  const answer = FACTS[fact].answer;
  const last = readings.at(-1)!;
  if (answer?.kind === 'choose') return { ruling: [sourced(fact, last.value, `${subject(fact)}, seen by ${last.by}`)] };
  const within = answer?.within ?? 0;
  const agreeing = readings.filter(({ value }) => Math.abs(Number(value) - Number(last.value)) <= within + 1e-9);
  if (agreeing.length < 2)
    return { questioning: [sourced(fact, last.value, `${subject(fact)}, ${last.how} once by ${last.by}`)] };
  const mean = agreeing.reduce((sum, { value }) => sum + Number(value), 0) / agreeing.length;
  const name = `${subject(fact)}, read ${agreeing.length === 2 ? 'twice' : `${agreeing.length} times`} by ${last.by}`;
  return { ruling: [sourced(fact, Number(mean.toFixed(3)), name)] };
}

/** A sheet with what was read laid over what is on paper; facts of which nothing was read stay as they are. */
export function withReadings(sheet: FactSheet, readings: readonly PieceReading[]): FactSheet {
  if (readings.length === 0) return sheet;
  const facts = [...new Set(readings.map(({ fact }) => fact))];
  const read = facts.map((fact) => {
    const own = sheet[fact] as FactEntry<unknown> | undefined;
    const found = entryOf(
      fact,
      readings.filter((reading) => reading.fact === fact),
    );
    const entry: FactEntry<unknown> = found.ruling
      ? { ruling: found.ruling }
      : { ruling: own?.ruling ?? [], questioning: [...(own?.questioning ?? []), ...found.questioning!] };
    return [fact, entry] as const;
  });
  return { ...sheet, ...(Object.fromEntries(read) as FactSheet) };
}

/** Whether readings of a measure have settled it, or one more is wanted. */
export function settles(fact: FactId, readings: readonly PieceReading[]): boolean {
  const own = readings.filter((reading) => reading.fact === fact);
  return own.length > 0 && entryOf(fact, own).ruling !== undefined;
}

/** Whether a reading answers its question as it is asked: a figure that was measured, or one of the forms offered. */
export function isAnswerTo(fact: FactId, { value, how }: Pick<PieceReading, 'value' | 'how'>): boolean {
  const answer = FACTS[fact].answer;
  if (answer?.kind === 'measure') return typeof value === 'number' && how !== 'seen';
  return answer?.kind === 'choose' && answer.options.some((option) => option.value === value);
}
