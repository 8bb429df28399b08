import type { QuantityKind, UnitSystem } from './plausible-ranges.ts';
import { fromBase, UNITS, type UnitId } from './units.ts';

/** How the reader wants figures shown. */
export type UnitDisplay = 'metric' | 'imperial' | 'both';

/** The units a bare number is in for who reads in these. */
export const systemOf = (display: UnitDisplay): UnitSystem => (display === 'imperial' ? 'imperial' : 'metric');

/** What a printed figure measures; decides unit and digits. */
export type DisplayKind = QuantityKind | 'length' | 'lead-length' | 'thread' | 'run';

/** Below this a torque is told in lbf·in, where a wrench scale still resolves it. Quantities: Printing. */
const SMALL_TORQUE_NM = 20;

/** Smallest digit a figure of a unit can honestly carry: never more than the measurement supports. */
const STEP: Partial<Record<UnitId, number>> = {
  mm: 0.01,
  in: 0.001,
  thou: 1,
  nm: 0.5,
  lbfFt: 1,
  lbfIn: 1,
  kgfM: 0.1,
  bar: 0.1,
  kohm: 0.1,
};

/** Thousands set apart by a space that does not break, as every trade reads them: 60 000. */
const grouped = (text: string): string =>
  text.length < 4 || text.includes('.') ? text : text.replace(/\B(?=(\d{3})+$)/g, '\u00a0');

type Rounding = 'nearest' | 'up' | 'down';
/** A figure within this share of a step is that step. */
const ON_STEP = 1e-6;

function toStep(value: number, step: number, rounding: Rounding): number {
  const steps = value / step;
  // A half goes away from zero, also where it has no exact binary form.
  const nearest = Math.round(steps + Math.sign(steps) * ON_STEP);
  if (rounding === 'nearest' || Math.abs(steps - nearest) <= ON_STEP) return nearest * step;
  return (rounding === 'up' ? Math.ceil(steps) : Math.floor(steps)) * step;
}

const printStep = (value: number, step: number): string =>
  grouped(value.toFixed(step >= 1 ? 0 : Math.min(6, Math.ceil(-Math.log10(step) - ON_STEP))));

/** The size of a length in mm to a tenth, as drawings are dimensioned. */
export const printTenths = (mm: number): string => printStep(toStep(Math.abs(mm), 0.1, 'nearest'), 0.1);

const FINER = [1, 0.1, 0.01] as const;

/**
 * A figure or a range in one unit. The ends of a range are limits, which printing never widens: the lower is rounded up, the
 * upper down; where they would cross, with one digit more, at most two. Undefined where even that is too coarse.
 */
function span(low: number, high: number, unit: UnitId, step: number): string | undefined {
  const [from, to] = [fromBase(low, unit), fromBase(high, unit)];
  const { printed } = UNITS[unit];
  if (low === high) return `${printStep(toStep(from, step, 'nearest'), step)} ${printed}`;
  for (const finer of FINER) {
    const size = step * finer;
    const [least, most] = [toStep(from, size, 'up'), toStep(to, size, 'down')];
    const [a, b] = [printStep(least, size), printStep(most, size)];
    if (a === b) return `${a} ${printed} only`;
    if (least < most) return `${a}–${b} ${printed}`;
  }
  return undefined;
}

/** A base range printed in one unit, with the digits that unit supports. */
export function formatIn(low: number, high: number, unit: UnitId): string {
  return (
    span(low, high, unit, STEP[unit] ?? 1) ?? `${fromBase(low, unit)}–${fromBase(high, unit)} ${UNITS[unit].printed}`
  );
}

function metricUnit(kind: DisplayKind): [UnitId, number] {
  switch (kind) {
    case 'gap':
      return ['mm', 0.01];
    case 'reach':
    case 'hex':
    case 'length':
      return ['mm', 0.1];
    case 'thread':
      return ['mm', 0.01];
    case 'lead-length':
      return ['mm', 1];
    case 'plug-torque':
    case 'fastener-torque':
      return ['nm', 0.5];
    case 'plug-resistor':
    case 'coil-secondary':
    case 'lead-resistance':
      return ['kohm', 0.1];
    case 'coil-primary':
      return ['ohm', 0.01];
    case 'compression':
    case 'boost':
      return ['kpa', 1];
    case 'temperature':
      return ['celsius', 1];
    case 'distance':
    case 'run':
      return ['km', 1];
  }
}

function imperialUnit(kind: DisplayKind, high: number): [UnitId, number] {
  switch (kind) {
    case 'gap':
      return ['thou', 1];
    case 'reach':
    case 'hex':
    case 'length':
      return ['in', 0.01];
    case 'lead-length':
      return ['in', 0.1];
    case 'plug-torque':
    case 'fastener-torque':
      return high < SMALL_TORQUE_NM ? ['lbfIn', 1] : ['lbfFt', 1];
    case 'compression':
    case 'boost':
      return ['psi', 1];
    case 'temperature':
      return ['fahrenheit', 1];
    case 'distance':
    case 'run':
      return ['mile', 1];
    default:
      return metricUnit(kind);
  }
}

/** A figure or range in base units, in the reader's system: `0.80 mm`, `31 thou`, `0.80 mm / 31 thou`. */
export function formatQuantity(kind: DisplayKind, low: number, high: number, display: UnitDisplay): string {
  const [metric, metricStep] = metricUnit(kind);
  const [imperial, imperialStep] = imperialUnit(kind, high);
  // Threads are named, not measured: M14 × 1.25 carries no idle zeros.
  if (kind === 'thread') return `${Number(low.toFixed(2))} mm`;
  const inMetric = span(low, high, metric, metricStep) ?? formatIn(low, high, metric);
  if (display === 'metric' || metric === imperial) return inMetric;
  const inImperial = kind === 'distance' ? coarsely(low, high, imperial) : span(low, high, imperial, imperialStep);
  // Too narrow for the other system's steps: the source's own unit alone.
  if (inImperial === undefined) return inMetric;
  return display === 'imperial' ? inImperial : `${inMetric} / ${inImperial}`;
}

/** An interval converted keeps two figures, and is never made longer: 140 000 km are 86 000 miles. */
function coarsely(low: number, high: number, unit: UnitId): string {
  const two = (base: number) => {
    const value = fromBase(base, unit);
    const step = value < 10 ? 1 : 10 ** (Math.floor(Math.log10(value)) - 1);
    return grouped(toStep(value, step, 'down').toFixed(0));
  };
  return `${low === high ? two(low) : `${two(low)}–${two(high)}`} ${UNITS[unit].printed}`;
}
