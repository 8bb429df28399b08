import { unitOf, type UnitId } from './units.ts';

/** One way of reading the digits: ends as written, before any unit. */
export interface WrittenRange {
  readonly low: number;
  readonly high: number;
  /** Size of the last written digit, for rounding intervals; 0 for a fraction, which is exact. */
  readonly step: number;
  /** What was written in the middle of a tolerance. */
  readonly nominal?: number;
}

export type ParsedFigure =
  | { readonly kind: 'figure'; readonly ways: readonly WrittenRange[]; readonly unit?: UnitId }
  /** A meter that shows no continuity: a state, not a number. */
  | { readonly kind: 'open' }
  | { readonly kind: 'unreadable'; readonly why: string };

interface WrittenNumber {
  readonly value: number;
  readonly step: number;
}

const LONGEST_FIGURE = 60;
const NUMBER = String.raw`[-−]?(?:\d{1,3}(?:[ \u00a0]\d{3})+|\d+\s+\d+\/\d+|\d+\/\d+|\d[\d.,]*|[.,]\d+)`;
const UNIT = String.raw`[^\d±+()\s][^\d±+()]*?`;
const SINGLE = new RegExp(`^(${NUMBER})\\s*(${UNIT})?$`, 'u');
const RANGE = new RegExp(`^(${NUMBER})\\s*(${UNIT})?\\s*(?:-|–|—|−|\\.\\.\\.?|to)\\s*(${NUMBER})\\s*(${UNIT})?$`, 'u');
const PLUS_MINUS = new RegExp(`^(${NUMBER})\\s*(${UNIT})?\\s*±\\s*(${NUMBER})\\s*(%)?\\s*(${UNIT})?$`, 'u');
const PLUS_THEN_MINUS = new RegExp(
  `^(${NUMBER})\\s*(${UNIT})?\\s*\\+\\s*(${NUMBER})\\s*(?:${UNIT})?\\s*\\/\\s*[-−–]\\s*(${NUMBER})\\s*(${UNIT})?$`,
  'u',
);

const unreadable = (why: string): ParsedFigure => ({ kind: 'unreadable', why });

/** A decimal point's place after removing thousands marks; digits are all that remain besides it. */
function decimal(text: string): WrittenNumber | undefined {
  if (!/^-?\d*\.?\d+$/.test(text)) return undefined;
  const decimals = text.includes('.') ? text.length - text.indexOf('.') - 1 : 0;
  return { value: Number(text), step: 10 ** -decimals };
}

/** Every honest reading of one written number: fractions, decimal comma, thousands comma. */
function readNumber(text: string): WrittenNumber[] {
  const plain = text.trim().replace(/^−/, '-');
  const spaced = /^-?\d{1,3}(?:[ \u00a0]\d{3})+$/.test(plain) ? decimal(plain.replaceAll(/[ \u00a0]/g, '')) : undefined;
  if (spaced) return [spaced];
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(plain);
  if (fraction) {
    const [, sign, whole = '0', top, bottom] = fraction;
    if (Number(bottom) === 0) return [];
    const value = Number(whole) + Number(top) / Number(bottom);
    return [{ value: sign === '-' ? -value : value, step: 0 }];
  }
  const asDecimalComma = plain.includes(',') && !plain.includes('.') ? decimal(plain.replace(',', '.')) : undefined;
  const thousands = /^-?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(plain) ? decimal(plain.replaceAll(',', '')) : undefined;
  const asPoint = plain.includes(',') ? undefined : decimal(plain);
  // A point before exactly three digits may set thousands apart, as a comma does.
  const pointThousands = /^-?[1-9]\d{0,2}\.\d{3}$/.test(plain) ? decimal(plain.replace('.', '')) : undefined;
  const continental = /^-?[1-9]\d{0,2}(\.\d{3})+,\d+$/.test(plain)
    ? decimal(plain.replaceAll('.', '').replace(',', '.'))
    : undefined;
  return [asPoint, asDecimalComma, thousands, pointThousands, continental].filter((n) => n !== undefined);
}

const rounded = (value: number): number => Number(value.toPrecision(12));

function combine(
  parts: readonly string[],
  build: (numbers: readonly WrittenNumber[]) => WrittenRange,
): WrittenRange[] | undefined {
  const read = parts.map(readNumber);
  const first = read[0];
  if (first === undefined || read.some((ways) => ways.length === 0)) return undefined;
  // A writer uses one convention within a figure, so the ways are taken together, not crossed.
  return first.map((_, i) => build(read.map((ways) => ways[i] ?? ways[0]!)));
}

function figure(ways: WrittenRange[] | undefined, ...units: (string | undefined)[]): ParsedFigure {
  if (!ways) return unreadable('The digits cannot be read as a number.');
  const written = units.filter((u): u is string => u !== undefined && u.trim() !== '');
  const known = written.map(unitOf);
  const stranger = written.find((_, i) => known[i] === undefined);
  if (stranger !== undefined) return unreadable(`“${stranger.trim()}” is not a unit this counter knows.`);
  const unit = known[0];
  if (known.some((u) => u !== unit)) return unreadable('The two ends are written in different units.');
  if (ways.every((w) => w.low > w.high)) return unreadable('The first figure is larger than the second.');
  const rising = ways.filter((w) => w.low <= w.high && Number.isFinite(w.low) && Number.isFinite(w.high));
  return unit ? { kind: 'figure', ways: rising, unit } : { kind: 'figure', ways: rising };
}

/**
 * What compatibility forms would destroy, written plainly first: both primes and two apostrophes for inches, a vulgar
 * fraction after a whole number, any dash, the ordinal sign for a degree, `+/-` and `+-`, pounds a square inch.
 */
const asTyped = (text: string): string =>
  text
    .replaceAll(/[″‶“”]|''|′′|’’/g, '"')
    .replaceAll(/(\d)\s*([¼-¾⅐-⅞])/g, '$1 $2')
    .replaceAll(/[‐‑‒⁃﹣－]/g, '-')
    .replaceAll(/[º˚]/g, '°')
    .replaceAll(/\+\s*\/?\s*-(?=\s*\d)/g, '±')
    .replaceAll(/lbf?\s*(?:\/|per)\s*(?:sq\.?\s*)?in(?:ch)?(?:²|\^?2)/gi, 'psi');

/**
 * Reads a figure as people write it: `0.8`, `0,8 mm`, `.028-.030"`, `13/16"`, `0.8 ±0.05`, `1 - 1.1mm`, `OL`.
 * Nothing is converted or judged plausible here. Unreadable text comes back as such, with the reason.
 */
export function parseFigure(text: string): ParsedFigure {
  const trimmed = asTyped(text)
    .normalize('NFKC')
    .trim()
    .replaceAll('\u2044', '/')
    .replace(/^[~≈∅⌀]\s*/u, '');
  if (trimmed === '') return unreadable('Nothing was written.');
  if (trimmed.length > LONGEST_FIGURE) return unreadable('Too long to be a figure.');
  if (/^(ol|o\.l\.?|open|∞|open circuit)$/i.test(trimmed)) return { kind: 'open' };
  const single = SINGLE.exec(trimmed);
  if (single) {
    const ways = combine([single[1]!], ([n]) => ({ low: n!.value, high: n!.value, step: n!.step }));
    return figure(ways, single[2]);
  }
  const tolerance = PLUS_MINUS.exec(trimmed);
  if (tolerance) {
    const [, middle, unit, spread, percent, unitAfter] = tolerance;
    const ways = combine([middle!, spread!], ([m, s]) => {
      const half = percent ? (m!.value * s!.value) / 100 : s!.value;
      return { low: rounded(m!.value - half), high: rounded(m!.value + half), step: m!.step, nominal: m!.value };
    });
    return figure(ways, unit, unitAfter);
  }
  const uneven = PLUS_THEN_MINUS.exec(trimmed);
  if (uneven) {
    const [, middle, unit, above, below, unitAfter] = uneven;
    const ways = combine([middle!, above!, below!], ([m, a, b]) => ({
      low: rounded(m!.value - b!.value),
      high: rounded(m!.value + a!.value),
      step: m!.step,
      nominal: m!.value,
    }));
    return figure(ways, unit, unitAfter);
  }
  const range = RANGE.exec(trimmed);
  if (range) {
    const [, low, unit, high, unitAfter] = range;
    const ways = combine([low!, high!], ([l, h]) => ({
      low: l!.value,
      high: h!.value,
      step: Math.min(l!.step, h!.step),
    }));
    return figure(ways, unit, unitAfter);
  }
  return unreadable('This does not read as a figure, a range or a tolerance.');
}
