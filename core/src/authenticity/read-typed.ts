import { parseFigure } from '../quantities/parse-figure.ts';
import { readQuantity } from '../quantities/read-quantity.ts';
import { moneySign } from '../words/money.ts';
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

/** Further from the catalogue's figure than this share, a bare figure that is another quantity's is asked about. */
const FAR = 0.2;

/** The quantity whose own figure a reading is, where it is far from that of the one it was typed for. */
function another(id: MeasuredId, value: number, catalogue: Catalogue): MeasuredId | undefined {
  const expected = catalogue[id];
  if (expected !== undefined && Math.abs(value - expected) <= FAR * expected) return undefined;
  return (Object.keys(catalogue) as MeasuredId[]).find((other) => {
    const figure = catalogue[other];
    const { match, decimals } = MEASURED[other];
    return other !== id && figure !== undefined && Math.abs(value - figure) <= (match ?? 0.5 * 10 ** -decimals) + 1e-9;
  });
}

type Catalogue = Readonly<Partial<Record<MeasuredId, number>>>;

/**
 * A reading as somebody types it, in the quantity's unit; one that cannot be meant is asked about, never guessed. With the
 * catalogue's figures, a bare figure that is another quantity's (the reach typed as the weight) is asked about too; with its
 * unit written it is taken as meant.
 */
export function readTyped(id: MeasuredId, text: string, catalogue: Catalogue = {}): TypedReading {
  const typed = readAlone(id, text);
  if (typed.kind !== 'read' || /[\p{L}"″%Ω]\s*$/u.test(text.trim())) return typed;
  const other = another(id, typed.value, catalogue);
  if (other === undefined) return typed;
  const { label, unit, decimals } = MEASURED[other];
  return {
    kind: 'asked',
    why: `${catalogue[other]!.toFixed(decimals)} ${unit} is its ${label.toLowerCase()}: was that typed for the ${MEASURED[id].label.toLowerCase()}? If ${typed.value} ${MEASURED[id].unit} is meant, write the unit.`,
  };
}

function readAlone(id: MeasuredId, text: string): TypedReading {
  const { reads, unit } = MEASURED[id];
  if (!reads) {
    const bare = text.trim().replace(new RegExp(`\\s*${unit}$`, 'i'), '');
    const value = only(bare);
    if (value !== undefined && !/\p{L}/u.test(bare)) return { kind: 'read', value };
    return { kind: 'asked', why: `A single reading in ${unit}.` };
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
  const value = only(text.replace(moneySign(), '').trim());
  return value === undefined || value <= 0 ? undefined : Math.round(value * 100);
}
