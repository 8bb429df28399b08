import { formatIn } from './format-quantity.ts';
import { parseFigure, type WrittenRange } from './parse-figure.ts';
import {
  plausibleRange,
  QUANTITIES,
  type QuantityContext,
  type QuantityKind,
  type UnitSystem,
} from './plausible-ranges.ts';
import { toBase, UNITS, type UnitId } from './units.ts';

/** One thing the writer may have meant, in base units. */
export interface LikelyReading {
  readonly low: number;
  readonly high: number;
  readonly unit: UnitId;
  readonly label: string;
  readonly plausible: boolean;
}

export type QuantityReading =
  /** `said` is present when the unit was not written and not the reader's own: the interface says it aloud. */
  | {
      readonly kind: 'read';
      readonly low: number;
      readonly high: number;
      readonly unit: UnitId;
      readonly said?: string;
    }
  | { readonly kind: 'asked'; readonly question: string; readonly likely: readonly LikelyReading[] }
  | { readonly kind: 'open' }
  | { readonly kind: 'unreadable'; readonly why: string };

export interface ReadOptions {
  readonly system?: UnitSystem;
  readonly context?: QuantityContext;
  /** A specification can never be zero; a reading sometimes is. */
  readonly as?: 'reading' | 'specification';
}

const UNIT_ORDER = Object.keys(UNITS) as UnitId[];

/**
 * Reads what a person typed as a quantity of one kind, in base units (mm, N·m, kPa, Ω, °C, km).
 * The unit-slip guard of domain sections 1 and 13: a written unit that makes the figure implausible is always asked
 * back; a bare figure is the reader's unit if plausible, else the one plausible reading said aloud, else asked.
 */
export function readQuantity(text: string, kind: QuantityKind, options: ReadOptions = {}): QuantityReading {
  const parsed = parseFigure(text);
  if (parsed.kind !== 'figure') return parsed;
  const { system = 'metric', context = {}, as = 'reading' } = options;
  const rule = QUANTITIES[kind];
  const bounds = plausibleRange(kind, context);
  const isPlausible = (low: number, high: number): boolean => {
    if (low === 0 && high === 0) return as === 'reading' && rule.zeroIsReading;
    return low >= bounds.low - 1e-9 && high <= bounds.high + 1e-9;
  };
  const inUnit = (way: WrittenRange, unit: UnitId): LikelyReading => {
    const low = toBase(way.low, unit);
    const high = toBase(way.high, unit);
    return { low, high, unit, label: formatIn(low, high, unit), plausible: isPlausible(low, high) };
  };
  const ownUnits = rule.units[system];
  const allUnits = UNIT_ORDER.filter((unit) => UNITS[unit].dimension === rule.dimension);
  const readingsIn = (units: readonly UnitId[]) => parsed.ways.flatMap((way) => units.map((unit) => inUnit(way, unit)));
  const ask = (why: string): QuantityReading => {
    const every = readingsIn(allUnits).filter((r) => r.unit !== parsed.unit || r.plausible);
    const plausible = every.filter((r) => r.plausible);
    const likely = plausible.length > 0 ? plausible : every.filter((r) => ownUnits.includes(r.unit)).slice(0, 2);
    const range = formatIn(bounds.low, bounds.high, rule.units.metric[0]!);
    const offer = likely.map((r) => (r.plausible ? r.label : `${r.label}, still outside ${range}`)).join(' or ');
    return { kind: 'asked', question: offer ? `${why} Did you mean ${offer}?` : `${why} Usual is ${range}.`, likely };
  };
  const read = ({ low, high, unit }: LikelyReading, said?: string): QuantityReading =>
    said === undefined ? { kind: 'read', low, high, unit } : { kind: 'read', low, high, unit, said };

  if (parsed.unit !== undefined) {
    const written = parsed.unit;
    if (UNITS[written].dimension !== rule.dimension) {
      return ask(`${UNITS[written].printed} does not measure a ${rule.label}.`);
    }
    const plausible = readingsIn([written]).filter((r) => r.plausible);
    if (plausible.length === 1) return read(plausible[0]!);
    return ask(`${text.trim()} is not a usual ${rule.label}.`);
  }
  const own = readingsIn(ownUnits).filter((r) => r.plausible);
  if (own.length === 1) return read(own[0]!);
  const any = own.length > 0 ? own : readingsIn(allUnits).filter((r) => r.plausible);
  if (any.length === 1) return read(any[0]!, `Read as ${any[0]!.label}.`);
  return ask(`${text.trim()} has no unit and is not a usual ${rule.label} as it stands.`);
}

/** A boot angle of 45° or 135° is one bend told two ways, so it is asked back; other angles are not. Domain section 1. */
export function bootAngleQuestion(angleDeg: number): string | undefined {
  if (angleDeg !== 45 && angleDeg !== 135) return undefined;
  return 'Measured between lead and boot, or as the bend away from straight? 45° one way is 135° the other.';
}

/** Whether a metric and an imperial figure printed side by side can be the same measurement, by their rounding intervals. */
export function printedPairAgrees(one: string, other: string): boolean | undefined {
  const [a, b] = [parseFigure(one), parseFigure(other)];
  if (a.kind !== 'figure' || b.kind !== 'figure' || !a.unit || !b.unit) return undefined;
  if (UNITS[a.unit].dimension !== UNITS[b.unit].dimension) return undefined;
  const interval = (value: number, step: number, unit: UnitId) =>
    [toBase(value - step / 2, unit), toBase(value + step / 2, unit)] as const;
  const overlaps = (x: readonly [number, number], y: readonly [number, number]) =>
    x[0] <= y[1] + 1e-9 && y[0] <= x[1] + 1e-9;
  const [wa, wb] = [a.ways[0]!, b.ways[0]!];
  return (['low', 'high'] as const).every((end) =>
    overlaps(interval(wa[end], wa.step, a.unit!), interval(wb[end], wb.step, b.unit!)),
  );
}
