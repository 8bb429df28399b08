import { formatIn } from './format-quantity.ts';
import { parseFigure } from './parse-figure.ts';
import { QUANTITIES, type QuantityKind, type UnitSystem } from './plausible-ranges.ts';
import { readQuantity } from './read-quantity.ts';
import { UNITS, type Dimension, type UnitId } from './units.ts';

/** A figure typed where anything may be typed: what it could be a measurement of, in every usual unit. */
export interface TypedMeasure {
  readonly readings: readonly { readonly of: string; readonly says: string }[];
  /** Set when nothing it could measure is plausible as written. */
  readonly question: string | null;
}

/** What a figure of each dimension may measure at the counter, likeliest first, and the units it is told in. */
const MAY_MEASURE: Partial<Record<Dimension, { kinds: readonly QuantityKind[]; units: readonly UnitId[] }>> = {
  'length-mm': { kinds: ['gap', 'reach', 'hex'], units: ['mm', 'thou', 'in'] },
  'torque-nm': { kinds: ['plug-torque'], units: ['nm', 'lbfFt', 'lbfIn'] },
  'pressure-kpa': { kinds: ['compression'], units: ['kpa', 'bar', 'psi'] },
  'resistance-ohm': { kinds: ['plug-resistor', 'coil-primary', 'lead-resistance'], units: ['kohm', 'ohm'] },
};

/** Reads a question as a measurement: a figure with a unit, or a bare decimal fraction, which is taken for a gap. */
export function readMeasure(text: string, system: UnitSystem): TypedMeasure | undefined {
  const parsed = parseFigure(text);
  if (parsed.kind !== 'figure') return undefined;
  if (parsed.unit === undefined && !/^\s*\d*[.,]\d+(\s*[-–]\s*\d*[.,]\d+)?\s*$/.test(text)) return undefined;
  const measures = MAY_MEASURE[parsed.unit === undefined ? 'length-mm' : UNITS[parsed.unit].dimension];
  if (!measures) return undefined;
  const kinds = parsed.unit === undefined ? (['gap'] as const) : measures.kinds;
  const answers = kinds.map((kind) => ({ kind, reading: readQuantity(text, kind, { system }) }));
  const readings = answers.flatMap(({ kind, reading }) =>
    reading.kind === 'read'
      ? [
          {
            of: QUANTITIES[kind].label,
            says: measures.units
              .filter((unit) => kind === 'gap' || unit !== 'thou')
              .map((unit) => formatIn(reading.low, reading.high, unit))
              .join(' = '),
          },
        ]
      : [],
  );
  const first = answers[0]!.reading;
  return { readings, question: readings.length === 0 && first.kind === 'asked' ? first.question : null };
}
