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
  readonly nominal?: number;
}

export type QuantityReading =
  /** `said` is present when the unit was not written and not the reader's own: the interface says it aloud. */
  | {
      readonly kind: 'read';
      readonly low: number;
      readonly high: number;
      readonly unit: UnitId;
      /** What a tolerance was written about. */
      readonly nominal?: number;
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
  /** Told by somebody, not measured here. */
  readonly told?: boolean;
}

/** Threads of plugs: a reach told that equals one is asked back. */
const THREADS_MM: readonly number[] = [10, 12, 14, 18];
const THOUSAND = 1000;

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
    const nominal = way.nominal === undefined ? {} : { nominal: toBase(way.nominal, unit) };
    return { low, high, unit, label: formatIn(low, high, unit), plausible: isPlausible(low, high), ...nominal };
  };
  // On an odometer or an interval three digits after a mark are thousands.
  const ways =
    kind === 'distance' && parsed.ways.some(({ low }) => low >= THOUSAND)
      ? parsed.ways.filter(({ low }) => low >= THOUSAND)
      : parsed.ways;
  const ownUnits = rule.units[system];
  const allUnits = UNIT_ORDER.filter((unit) => UNITS[unit].dimension === rule.dimension);
  const readingsIn = (units: readonly UnitId[]) => ways.flatMap((way) => units.map((unit) => inUnit(way, unit)));
  const ask = (why: string): QuantityReading => {
    const every = readingsIn(allUnits).filter((r) => r.unit !== parsed.unit || r.plausible);
    const plausible = every.filter((r) => r.plausible);
    const likely = plausible.length > 0 ? plausible : every.filter((r) => ownUnits.includes(r.unit)).slice(0, 2);
    const range = formatIn(bounds.low, bounds.high, rule.units.metric[0]!);
    const offer = likely.map((r) => (r.plausible ? r.label : `${r.label}, still outside ${range}`)).join(' or ');
    return { kind: 'asked', question: offer ? `${why} Did you mean ${offer}?` : `${why} Usual is ${range}.`, likely };
  };
  const read = ({ low, high, unit, nominal }: LikelyReading, said?: string): QuantityReading => {
    if (kind === 'reach' && options.told === true && low === high && THREADS_MM.includes(low))
      return {
        kind: 'asked',
        question: `${formatIn(low, high, 'mm')} is a thread as often as a reach: is it the length from the seat, or across the thread?`,
        likely: [],
      };
    return {
      kind: 'read',
      low,
      high,
      unit,
      ...(nominal === undefined ? {} : { nominal }),
      ...(said === undefined ? {} : { said }),
    };
  };

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
  // A plug's resistor is told without its unit so often that it is read, and said aloud.
  if (own.length === 1) return read(own[0]!, kind === 'plug-resistor' ? `Read as ${own[0]!.label}.` : undefined);
  const any = own.length > 0 ? own : readingsIn(allUnits).filter((r) => r.plausible);
  if (any.length === 1) return read(any[0]!, `Read as ${any[0]!.label}.`);
  return ask(`${text.trim()} has no unit and is not a usual ${rule.label} as it stands.`);
}

/** A boot angle of 45° or 135° is one bend told two ways, so it is asked back; other angles are not. Quantities: Plausible ranges. */
export function bootAngleQuestion(angleDeg: number): string | undefined {
  if (angleDeg !== 45 && angleDeg !== 135) return undefined;
  return 'Measured between lead and boot, or as the bend away from straight? 45° one way is 135° the other.';
}

/**
 * Whether two figures printed side by side can be the same measurement. Nominal ones agree where their rounding intervals
 * overlap; the ends of a range also where the second lies inward by less than a step of the coarser unit and half a step of
 * the first as written, as rounding a limit inward makes it. Undefined where they are not two figures of one dimension.
 */
export function printedPairAgrees(
  one: string,
  other: string,
  as: 'nominal' | 'limits' = 'nominal',
): boolean | undefined {
  const [a, b] = [parseFigure(one), parseFigure(other)];
  if (a.kind !== 'figure' || b.kind !== 'figure' || !a.unit || !b.unit) return undefined;
  if (UNITS[a.unit].dimension !== UNITS[b.unit].dimension) return undefined;
  const [wa, wb] = [a.ways[0]!, b.ways[0]!];
  const sizes = [wa.step * toBaseSize(a.unit), wb.step * toBaseSize(b.unit)] as const;
  const allowed = Math.max(...sizes) + sizes[0] / 2;
  return (['low', 'high'] as const).every((end) => {
    const [source, told] = [toBase(wa[end], a.unit!), toBase(wb[end], b.unit!)];
    if (Math.abs(source - told) <= (sizes[0] + sizes[1]) / 2 + 1e-9) return true;
    const inward = end === 'low' ? told - source : source - told;
    return as === 'limits' && inward >= 0 && inward < allowed;
  });
}

const toBaseSize = (unit: UnitId): number => toBase(1, unit) - toBase(0, unit);
