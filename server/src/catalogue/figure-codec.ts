import { z } from 'zod';
import { heatIndexBar, type HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import type { FactId, FactTypes } from '@brackenfell/core/facts/facts';
import { RECORDED_FACTS, span, type RecordedFactId, type RecordedValue } from '@brackenfell/contract/fact-values';

/** A fact's value as a figure row holds it: numbers in `low`/`high`, words in `code`. */
export interface FigureValue {
  readonly low: number | null;
  readonly high: number | null;
  readonly code: string | null;
  readonly unit: string | null;
}

export type HeatScales = ReadonlyMap<string, HeatScale>;

const UNITS: readonly (readonly [ending: string, unit: string])[] = [
  ['Mm', 'mm'],
  ['Km', 'km'],
  ['Kohm', 'kohm'],
  ['Ohm', 'ohm'],
  ['Deg', 'deg'],
  ['kohmPerM', 'kohm/m'],
];
const unitOf = (fact: FactId): string | null => UNITS.find(([ending]) => fact.endsWith(ending))?.[1] ?? null;

/** How a fact's values are stored: figures and words in their columns, what has parts of its own as JSON in `code`. */
type Storage = 'number' | 'span' | 'flag' | 'word' | 'supply' | 'own' | 'json';

const OWN: readonly FactId[] = [
  'plug.heat',
  'position.heat',
  'plug.resistor',
  'plug.gapAdjust',
  'position.resistor',
  'position.wellBoreMm',
  'coilAsked.primaryOhm',
];

function storageOf(fact: FactId): Storage {
  if (OWN.includes(fact)) return 'own';
  if (fact.endsWith('.supply')) return 'supply';
  if (fact === 'plug.hexPoints' || fact === 'position.hexPoints') return 'number';
  const schema: unknown = RECORDED_FACTS[fact as RecordedFactId];
  if (schema === span) return 'span';
  if (schema instanceof z.ZodNumber) return 'number';
  if (schema instanceof z.ZodBoolean) return 'flag';
  return schema instanceof z.ZodEnum || schema instanceof z.ZodString ? 'word' : 'json';
}
const STORAGE = new Map((Object.keys(RECORDED_FACTS) as FactId[]).map((fact) => [fact, storageOf(fact)]));

/** Turns a recorded value into the columns of a figure. The inverse is `decodeFigure`. */
export function encodeFigure<K extends RecordedFactId>(fact: K, value: RecordedValue<K>): FigureValue {
  const unit = unitOf(fact);
  const row = (low: number | null, high: number | null, code: string | null) => ({ low, high, code, unit });
  const recorded: unknown = value;
  if (typeof recorded === 'number') return row(recorded, recorded, null);
  if (typeof recorded === 'boolean') return row(null, null, recorded ? 'yes' : 'no');
  if (typeof recorded === 'string') return row(null, null, recorded);
  const object = recorded as {
    maker: string;
    code: string;
    codes: string[];
    state: string;
    successor?: string;
  } & Record<string, unknown>;
  if (fact === 'plug.heat') return row(null, null, `${object.maker}:${object.code}`);
  if (fact === 'position.heat') return row(null, null, `${object.maker}:${object.codes.join(',')}`);
  const storage = STORAGE.get(fact);
  if (storage === 'supply')
    return row(null, null, object.successor ? `${object.state}:${object.successor}` : object.state);
  if (storage === 'json') return row(null, null, JSON.stringify(recorded));
  const low = (object.low ?? object.kohm ?? object.mm ?? null) as number | null;
  const high = (object.high ?? low) as number | null;
  return row(low, high, (object.kind as string | undefined) ?? null);
}

const splitAt = (text: string): [string, string] => {
  const at = text.indexOf(':');
  return at < 0 ? [text, ''] : [text.slice(0, at), text.slice(at + 1)];
};

/** Reads a figure back as the value core judges by; undefined when a heat code is on no known scale. */
export function decodeFigure<K extends FactId>(
  fact: K,
  figure: FigureValue,
  scales: HeatScales,
): FactTypes[K] | undefined {
  return decode(fact, figure, scales) as FactTypes[K] | undefined;
}

function decode(fact: FactId, { low, high, code }: FigureValue, scales: HeatScales): unknown {
  switch (STORAGE.get(fact)) {
    case 'span':
      return { low, high };
    case 'flag':
      return code === 'yes';
    case 'number':
      return low;
    case 'word':
      return code;
    case 'json':
      return JSON.parse(code ?? 'null') as unknown;
    case 'supply': {
      const [state, successor] = splitAt(code ?? '');
      return successor ? { state, successor } : { state };
    }
  }
  switch (fact) {
    case 'plug.heat': {
      const [maker, rating] = splitAt(code ?? '');
      const scale = scales.get(maker);
      const indexBar = scale && heatIndexBar(scale, rating);
      return indexBar === undefined ? undefined : { maker: scale!.maker, code: rating, indexBar };
    }
    case 'position.heat': {
      const [maker, ratings] = splitAt(code ?? '');
      const scale = scales.get(maker);
      return scale && { scale, codes: ratings.split(',') };
    }
    case 'plug.resistor':
      return code === 'value' ? { kind: 'value', kohm: low } : { kind: code };
    case 'plug.gapAdjust':
      return code === 'limit' ? { kind: 'limit', mm: low } : { kind: code };
    case 'position.resistor':
      return code === 'range' ? { kind: 'range', low, high } : { kind: code };
    case 'coilAsked.primaryOhm':
      return low === high ? low : { low, high };
    case 'position.wellBoreMm':
      return code ?? low;
    default:
      return code;
  }
}
