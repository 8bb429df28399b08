import type { DisplayKind } from '../quantities/format-quantity.ts';

/** How a missing fact is answered at the counter, where its question stands. */
export type FactAnswer =
  /** A figure, typed or taken from a device; `within` is how near two readings must be to agree. */
  | {
      readonly kind: 'measure';
      readonly quantity: Exclude<DisplayKind, 'lead-length' | 'run'>;
      readonly unit: 'mm' | 'kΩ';
      readonly device: 'gauge' | 'ohmmeter';
      readonly within: number;
      /** What a simulated device is told to hold. */
      readonly laidAs: string;
    }
  /** Something seen: one of a few forms. Seen once it holds, there is nothing to scatter. */
  | {
      readonly kind: 'choose';
      readonly options: readonly { readonly value: string | boolean | number; readonly says: string }[];
    };

/** What one of a measure's own unit comes to in the base unit that figures are read in. */
const BASE_PER_UNIT = { mm: 1, kΩ: 1000, km: 1 } as const;
type Unit = keyof typeof BASE_PER_UNIT;

/** A figure that was read in base units (mm, Ω), in the unit that its fact is recorded in. */
export const inFactUnit = (unit: Unit, base: number): number => base / BASE_PER_UNIT[unit];

/** The other way, to be printed. */
export const inBaseUnit = (unit: Unit, own: number): number => own * BASE_PER_UNIT[unit];

/** A length taken with a slide gauge, or a gap with a wire. */
export const gauged = (
  quantity: 'reach' | 'hex' | 'length' | 'thread' | 'gap',
  within: number,
  laidAs: string,
): FactAnswer => ({ kind: 'measure', quantity, unit: 'mm', device: 'gauge', within, laidAs });

export const choose = (
  ...options: readonly (readonly [value: string | boolean | number, says: string])[]
): FactAnswer => ({ kind: 'choose', options: options.map(([value, says]) => ({ value, says })) });
export const YES_NO = choose([true, 'Yes'], [false, 'No']);
export const POINTS = choose([6, 'Six points'], [12, 'Twelve points']);

/** Repeatability of a slide gauge on a machined length, of a wire gauge in a gap, of a meter on a resistor. */
export const LENGTH_MM = 0.15;
export const GAP_MM = 0.03;
export const RESISTOR_KOHM = 0.3;

export const isOfVehicle = (fact: string): boolean => fact.startsWith('position.');
