import { moneySign } from '../words/money.ts';
import { parseFigure } from './parse-figure.ts';
import type { QuantityReading } from './read-quantity.ts';

/** A plain figure, for what is no part's own: a meter's error, a length of wire. Undefined where it is none, or may be read in two ways. */
export function plainFigure(text: string): number | undefined {
  const read = parseFigure(text);
  const [way, another] = read.kind === 'figure' ? read.ways : [];
  return way && !another && way.low === way.high ? way.low : undefined;
}

export type PlainReading =
  | { readonly kind: 'plain'; readonly value: number }
  | Extract<QuantityReading, { kind: 'unreadable' }>;

/** Reads a plain figure that was typed. Undefined where nothing was; unreadable below `least`, or where it is no one figure. */
export function readPlain(text: string, why: string, least = 0): PlainReading | undefined {
  if (text.trim() === '') return undefined;
  const value = plainFigure(text);
  return value === undefined || value < least ? { kind: 'unreadable', why } : { kind: 'plain', value };
}

/** Reads an amount of money, with or without its sign, in minor units. */
export function readPence(text: string): PlainReading | undefined {
  const read = readPlain(text.replace(moneySign(), ''), `An amount in ${moneySign()}, such as 37.60.`);
  return read?.kind === 'plain' ? { kind: 'plain', value: Math.round(read.value * 100) } : read;
}

/** A reading where one figure is wanted, and more than nothing where `isSome`: a range is not one. */
export function asOne(reading: QuantityReading | undefined, isSome = false): QuantityReading | undefined {
  if (reading?.kind !== 'read') return reading;
  if (reading.low !== reading.high) return { kind: 'unreadable', why: 'One figure, not a range.' };
  return isSome && reading.low <= 0 ? { kind: 'unreadable', why: 'More than nothing.' } : reading;
}

/** The one figure that was read. */
export const oneOf = (reading: QuantityReading | PlainReading | undefined): number | undefined =>
  reading?.kind === 'plain' ? reading.value : reading?.kind === 'read' ? reading.low : undefined;
