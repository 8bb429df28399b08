import type { FactId } from '../facts/facts.ts';
import type { QuantityKind } from '../quantities/plausible-ranges.ts';
import type { MeasuredId } from './tell.ts';

export const DEVICE_KINDS = ['gauge', 'ohmmeter', 'scale'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** A quantity a piece in hand is measured for. Limits are absolute, in the unit. */
export interface Measured {
  readonly label: string;
  readonly unit: 'mm' | 'kΩ' | 'Ω' | 'g';
  readonly device: DeviceKind;
  /** How typed figures are read; undefined where they are plain figures in the unit. */
  readonly reads?: QuantityKind;
  /** The catalogue's figure it is held against. */
  readonly fact?: FactId;
  /** Up to here it is the part; further it is near. */
  readonly match?: number;
  /** Beyond here the part is not what its number says, and is blocked. Limits of the fitment checks (domain section 4). */
  readonly limit?: number;
  readonly decimals: number;
}

export const MEASURED: Readonly<Record<MeasuredId, Measured>> = {
  reachMm: {
    label: 'Reach',
    unit: 'mm',
    device: 'gauge',
    reads: 'reach',
    fact: 'plug.reachMm',
    match: 0.3,
    limit: 0.5,
    decimals: 1,
  },
  lengthMm: { label: 'Length', unit: 'mm', device: 'gauge', fact: 'plug.lengthMm', match: 1, limit: 3, decimals: 1 },
  hexMm: {
    label: 'Hex',
    unit: 'mm',
    device: 'gauge',
    reads: 'hex',
    fact: 'plug.hexMm',
    match: 0.25,
    limit: 0.25,
    decimals: 1,
  },
  // A screw's outside measures up to a quarter of a millimetre under its name.
  threadMm: {
    label: 'Thread',
    unit: 'mm',
    device: 'gauge',
    fact: 'plug.threadDiameterMm',
    match: 0.3,
    limit: 0.5,
    decimals: 2,
  },
  gapMm: { label: 'Gap', unit: 'mm', device: 'gauge', reads: 'gap', fact: 'plug.gapMm', decimals: 2 },
  resistorKohm: {
    label: 'Resistor',
    unit: 'kΩ',
    device: 'ohmmeter',
    reads: 'plug-resistor',
    fact: 'plug.resistor',
    decimals: 1,
  },
  weightG: { label: 'Weight', unit: 'g', device: 'scale', decimals: 1 },
  primaryOhm: {
    label: 'Primary',
    unit: 'Ω',
    device: 'ohmmeter',
    reads: 'coil-primary',
    fact: 'coil.primaryOhm',
    decimals: 2,
  },
};

/** What a part's own number says of a quantity, read by its maker's scheme. In the quantity's unit, ends included. */
export interface DecodedSpan {
  readonly low: number;
  readonly high: number;
}

export type Agreement = 'agrees' | 'near' | 'contradicts' | 'not-known';

/**
 * A reading held against the catalogue's figure or, where that is silent, against what the number itself says. `not-known`
 * without either or where no limit is stated.
 */
export function compareReading(
  id: MeasuredId,
  reading: number,
  catalogue: number | undefined,
  decoded?: DecodedSpan,
): Agreement {
  const { match, limit } = MEASURED[id];
  if (match === undefined || limit === undefined) return 'not-known';
  const span = catalogue === undefined ? decoded : { low: catalogue, high: catalogue };
  if (!span) return 'not-known';
  const difference = Math.max(span.low - reading, reading - span.high, 0);
  if (difference <= match + 1e-9) return 'agrees';
  return difference <= limit + 1e-9 ? 'near' : 'contradicts';
}
