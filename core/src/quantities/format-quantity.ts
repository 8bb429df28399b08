import type { QuantityKind } from './plausible-ranges.ts';
import { fromBase, UNITS, type UnitId } from './units.ts';

/** How the reader wants figures shown. */
export type UnitDisplay = 'metric' | 'imperial' | 'both';

/** What a printed figure measures; decides unit and digits. */
export type DisplayKind = QuantityKind | 'length' | 'lead-length' | 'thread';

/** Below this a torque is told in lbf·in, where a wrench scale still resolves it. Domain section 1. */
const SMALL_TORQUE_NM = 20;

/** Smallest digit a figure of a unit can honestly carry: never more than the measurement supports. */
const STEP: Partial<Record<UnitId, number>> = { mm: 0.01, in: 0.001, thou: 1, nm: 0.5, lbfFt: 1, lbfIn: 1, kohm: 0.1 };

/** Thousands set apart by a space that does not break, as every trade reads them: 60 000. */
const grouped = (text: string): string =>
  text.length < 4 || text.includes('.') ? text : text.replace(/\B(?=(\d{3})+$)/g, '\u00a0');

function digits(base: number, unit: UnitId, step: number): string {
  const value = Math.round(fromBase(base, unit) / step) * step;
  const decimals = step >= 1 ? 0 : step >= 0.1 ? 1 : step >= 0.01 ? 2 : 3;
  return grouped(value.toFixed(decimals));
}

function span(low: number, high: number, unit: UnitId, step: number): string {
  const from = digits(low, unit, step);
  const to = low === high ? from : digits(high, unit, step);
  return `${from === to ? from : `${from}–${to}`} ${UNITS[unit].printed}`;
}

/** A base range printed in one unit, with the digits that unit supports. */
export function formatIn(low: number, high: number, unit: UnitId): string {
  return span(low, high, unit, STEP[unit] ?? 1);
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
  const inMetric = span(low, high, metric, metricStep);
  if (display === 'metric' || metric === imperial) return inMetric;
  const inImperial = span(low, high, imperial, imperialStep);
  return display === 'imperial' ? inImperial : `${inMetric} / ${inImperial}`;
}
