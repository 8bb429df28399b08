import type { PlugEntry, PlugFacts } from '@brackenfell/contract/catalogue-file';

/** Shelf data of one number: on hand, bin, price in pence. */
export type Shelf = readonly [onHand: number, bin: string, priceMinor: number];

export type PlugRow = readonly [
  number: string,
  facts: PlugFacts,
  shelf?: Shelf,
  more?: Pick<PlugEntry, 'names' | 'extra'>,
];

/** Catalogue rows of one maker that share most of their facts. A fact set to `undefined` in a row is unpublished. */
export function family(maker: string, shared: PlugFacts, rows: readonly PlugRow[]): PlugEntry[] {
  return rows.map(([number, own, shelf, more]) => ({
    maker,
    number,
    facts: { ...shared, ...own },
    ...(shelf ? { onHand: shelf[0], bin: shelf[1], priceMinor: shelf[2] } : {}),
    ...more,
  }));
}

const kohm = (value: number) => ({ kind: 'value', kohm: value }) as const;
export const R5 = kohm(5);
export const NO_RESISTOR = { kind: 'none' } as const;
export const adjustable = (mm: number) => ({ kind: 'limit', mm }) as const;
export const FIXED = { kind: 'fixed' } as const;

const inSupply = { 'plug.supply': { state: 'active' }, 'plug.shell': 'one-piece' } as const;
const overTip = { 'plug.groundCount': 1, 'plug.groundForm': 'over-tip', 'plug.groundThicknessMm': 1.4 } as const;

/** M14 × 1.25, gasket, 16 mm hex, solid top, resistor: the common modern form. */
export const SLIM_14 = {
  ...inSupply,
  ...overTip,
  'plug.threadDiameterMm': 14,
  'plug.threadPitchMm': 1.25,
  'plug.seat': 'gasket-fixed',
  'plug.hexMm': 16,
  'plug.hexPoints': 6,
  'plug.lengthMm': 50.5,
  'plug.terminal': 'solid',
  'plug.resistor': R5,
  'plug.projectionMm': 2,
  'plug.gapToleranceMm': 0.05,
} as const satisfies PlugFacts;
