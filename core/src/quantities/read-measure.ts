import { formatIn } from './format-quantity.ts';
import { parseFigure } from './parse-figure.ts';
import { QUANTITIES, type QuantityKind, type UnitSystem } from './plausible-ranges.ts';
import { bootAngleQuestion, printedPairAgrees, readQuantity } from './read-quantity.ts';
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
  const asked = pairQuestion(text) ?? bendQuestion(text);
  if (asked !== undefined) return { readings: [], question: asked };
  const parsed = parseFigure(text);
  if (parsed.kind !== 'figure') return undefined;
  if (parsed.unit === undefined && !/^\s*\d*[.,]\d+(\s*[-–]\s*\d*[.,]\d+)?\s*$/.test(text)) return undefined;
  const measures = MAY_MEASURE[parsed.unit === undefined ? 'length-mm' : UNITS[parsed.unit].dimension];
  if (!measures) return undefined;
  const kinds = parsed.unit === undefined ? (['gap'] as const) : measures.kinds;
  const answers = kinds.map((kind) => ({ kind, reading: readQuantity(text, kind, { system, told: true }) }));
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
  const question = answers.map(({ reading }) => reading).find((reading) => reading.kind === 'asked');
  return { readings, question: readings.length === 0 && question?.kind === 'asked' ? question.question : null };
}

/** Two figures side by side, such as a sheet prints them: `25 N·m / 18 lbf·ft`, `1.1 mm (0.043 in)`. */
function pairQuestion(text: string): string | undefined {
  const pair = /^(.+?\p{L}[^=(]*?)\s*(?:\/|=|\()\s*(\d[^()=]*?)\)?\s*$/u.exec(text.trim());
  if (!pair) return undefined;
  const [, one, other] = pair;
  const isRange = /\d\s*[-–—]\s*\d/.test(one!);
  const agrees = printedPairAgrees(one!, other!, isRange ? 'limits' : 'nominal');
  return agrees === false
    ? `${one!.trim()} and ${other!.trim()} are not the same: one of the two is wrong, or its unit is. Which does the sheet mean?`
    : undefined;
}

/** A boot's angle by itself: 45° and 135° are one bend. */
function bendQuestion(text: string): string | undefined {
  const angle = /^(\d{2,3})\s*(?:°|º|deg|degrees?)$/i.exec(text.trim());
  return angle ? bootAngleQuestion(Number(angle[1])) : undefined;
}
