import { parseFigure } from '../quantities/parse-figure.ts';
import { readQuantity } from '../quantities/read-quantity.ts';
import { MEASURED } from './measured.ts';
import type { MeasuredId } from './tell.ts';

export type TypedReading =
  /** `said` is present where a unit was taken for granted: the interface says it aloud. */
  | { readonly kind: 'read'; readonly value: number; readonly said?: string }
  | { readonly kind: 'asked'; readonly why: string };

/** Ohms, the base unit of resistances, to the unit of the name. */
const PER_BASE: Partial<Record<MeasuredId, number>> = { resistorKohm: 0.001 };

const only = (text: string): number | undefined => {
  const figure = parseFigure(text);
  const [way, another] = figure.kind === 'figure' ? figure.ways : [];
  return way && !another && way.low === way.high && way.low >= 0 ? way.low : undefined;
};

/** A reading as somebody types it, in the quantity's unit; one that cannot be meant is asked about, never guessed. */
export function readTyped(id: MeasuredId, text: string): TypedReading {
  const { reads, unit } = MEASURED[id];
  if (!reads) {
    const value = only(text.trim().replace(new RegExp(`\\s*${unit}$`, 'i'), ''));
    return value === undefined ? { kind: 'asked', why: `A single reading in ${unit}.` } : { kind: 'read', value };
  }
  const read = readQuantity(text, reads);
  switch (read.kind) {
    case 'read':
      return {
        kind: 'read',
        value: ((read.low + read.high) / 2) * (PER_BASE[id] ?? 1),
        ...(read.said ? { said: read.said } : {}),
      };
    case 'asked':
      return { kind: 'asked', why: read.question };
    case 'unreadable':
      return { kind: 'asked', why: read.why };
    case 'open':
      return { kind: 'asked', why: 'Open: no value to hold against the part’s.' };
  }
}

/** A price each as it is typed (`4.20`, `£4,20`), in minor units; undefined where it is none. */
export function readPriceMinor(text: string): number | undefined {
  const value = only(text.trim().replace(/^£\s*/, ''));
  return value === undefined || value <= 0 ? undefined : Math.round(value * 100);
}
