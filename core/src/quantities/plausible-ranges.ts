import { generalTorqueSpan, type HeadMetal } from './general-torques.ts';
import type { Dimension, UnitId } from './units.ts';

export type UnitSystem = 'metric' | 'imperial';

/** What a figure measures at the counter. */
export type QuantityKind =
  | 'gap'
  | 'plug-torque'
  | 'fastener-torque'
  | 'reach'
  | 'hex'
  | 'plug-resistor'
  | 'coil-primary'
  | 'coil-secondary'
  | 'lead-resistance'
  | 'compression'
  | 'boost'
  | 'temperature'
  | 'distance';

export interface QuantityContext {
  readonly threadMm?: number;
  readonly seat?: 'gasket' | 'taper';
  /** What the head is made of; both columns of the table are allowed while it is not known. */
  readonly headMetal?: HeadMetal;
}

interface QuantityRule {
  readonly label: string;
  readonly dimension: Dimension;
  /** Plausible range in base units, ends included. Outside: question, never convert. Quantities: Plausible ranges. */
  readonly low: number;
  readonly high: number;
  /** Units a bare figure may be in, by reader, likeliest first. */
  readonly units: Readonly<Record<UnitSystem, readonly UnitId[]>>;
  /** Whether zero can be a reading of it. Zero is never a specification. */
  readonly zeroIsReading: boolean;
}

const lengths = { metric: ['mm'], imperial: ['in', 'thou'] } as const;
const torques = { metric: ['nm'], imperial: ['lbfFt', 'lbfIn'] } as const;
const ohms = { metric: ['ohm', 'kohm'], imperial: ['ohm', 'kohm'] } as const;
const kiloOhms = { metric: ['kohm', 'ohm'], imperial: ['kohm', 'ohm'] } as const;
const pressures = { metric: ['kpa', 'bar'], imperial: ['psi'] } as const;

export const QUANTITIES: Readonly<Record<QuantityKind, QuantityRule>> = {
  gap: { label: 'gap', dimension: 'length-mm', low: 0.2, high: 2.2, units: lengths, zeroIsReading: true },
  'plug-torque': {
    label: 'plug torque',
    dimension: 'torque-nm',
    low: 4,
    high: 75,
    units: torques,
    zeroIsReading: false,
  },
  'fastener-torque': {
    label: 'torque',
    dimension: 'torque-nm',
    low: 2,
    high: 150,
    units: torques,
    zeroIsReading: false,
  },
  reach: {
    label: 'reach',
    dimension: 'length-mm',
    low: 8,
    high: 45,
    units: { metric: ['mm'], imperial: ['in'] },
    zeroIsReading: false,
  },
  hex: {
    label: 'hex',
    dimension: 'length-mm',
    low: 8,
    high: 27,
    units: { metric: ['mm'], imperial: ['in'] },
    zeroIsReading: false,
  },
  'plug-resistor': {
    label: 'plug resistor',
    dimension: 'resistance-ohm',
    low: 500,
    high: 20_000,
    units: kiloOhms,
    zeroIsReading: true,
  },
  'coil-primary': {
    label: 'coil primary',
    dimension: 'resistance-ohm',
    low: 0.1,
    high: 6,
    units: ohms,
    zeroIsReading: true,
  },
  'coil-secondary': {
    label: 'coil secondary',
    dimension: 'resistance-ohm',
    low: 1000,
    high: 60_000,
    units: kiloOhms,
    zeroIsReading: true,
  },
  'lead-resistance': {
    label: 'lead resistance',
    dimension: 'resistance-ohm',
    low: 500,
    high: 40_000,
    units: kiloOhms,
    zeroIsReading: true,
  },
  compression: {
    label: 'compression',
    dimension: 'pressure-kpa',
    low: 0,
    high: 3000,
    units: pressures,
    zeroIsReading: true,
  },
  boost: { label: 'boost', dimension: 'pressure-kpa', low: -100, high: 400, units: pressures, zeroIsReading: true },
  temperature: {
    label: 'temperature',
    dimension: 'temperature-c',
    low: -50,
    high: 200,
    units: { metric: ['celsius'], imperial: ['fahrenheit'] },
    zeroIsReading: true,
  },
  distance: {
    label: 'distance',
    dimension: 'distance-km',
    low: 0,
    high: 2_000_000,
    units: { metric: ['km'], imperial: ['mile'] },
    zeroIsReading: true,
  },
};

/** Fractions of section 7's table beyond which a plug torque is questioned on a known thread. */
const TORQUE_BELOW = 0.6;
const TORQUE_ABOVE = 1.5;

/** The range in base units outside which a figure of this kind is questioned, narrowed by the thread where it is known. */
export function plausibleRange(kind: QuantityKind, context: QuantityContext = {}): { low: number; high: number } {
  const { low, high } = QUANTITIES[kind];
  if (kind !== 'plug-torque' || context.threadMm === undefined) return { low, high };
  const span = generalTorqueSpan(context.threadMm, context.seat, context.headMetal);
  return span ? { low: span.lowNm * TORQUE_BELOW, high: span.highNm * TORQUE_ABOVE } : { low, high };
}
