import type { OperatingPoint } from './operating-points.ts';

/** The plug as far as its spark matters. */
export interface SparkPlug {
  readonly gapMm: number;
  /** Plain nickel, or a precious fine wire. */
  readonly tip: 'fine-wire' | 'nickel';
  /** Share of its life that is used, 0 new to 1 worn. */
  readonly lifeUsed: number;
  readonly inReverse: boolean;
}

/** What else the coil's voltage has to jump on its way. */
export type SparkPath = 'direct' | 'companion-cylinder' | 'rotor-gap' | 'both-of-one-cylinder';

const FACTORS = { 'fine-wire': [0.7, 0.85], nickel: [0.85, 1] } as const;
const REVERSED = 1.15;
const ON_GAS = 1.1;
const ADDED_KV: Readonly<Record<SparkPath, number>> = {
  direct: 0,
  'companion-cylinder': 1.5,
  'rotor-gap': 2,
  'both-of-one-cylinder': 0,
};

/** Breakdown of a uniform gap in air, kV; density against air at 20 °C and one atmosphere. Spark demand: Breakdown. */
export function breakdownKv(gapMm: number, density: number): number {
  const x = 1.01325 * density * (gapMm / 10);
  return 24.36 * x + 6.72 * Math.sqrt(x);
}

/** The electrode's share of it, linear in the life used. Spark demand: Demand. */
export function electrodeFactor({ tip, lifeUsed }: Pick<SparkPlug, 'tip' | 'lifeUsed'>): number {
  const [fresh, worn] = FACTORS[tip];
  return fresh + (worn - fresh) * Math.min(1, Math.max(0, lifeUsed));
}

/** What a spark asks at an operating point, kV. Spark demand: Demand. */
export function demandKv(
  plug: SparkPlug,
  { id, density }: OperatingPoint,
  { isOnGas, path }: { readonly isOnGas: boolean; readonly path: SparkPath },
): number {
  const reversed = plug.inReverse && id !== 'cold-crank' ? REVERSED : 1;
  const atPlug = breakdownKv(plug.gapMm, density) * electrodeFactor(plug) * reversed * (isOnGas ? ON_GAS : 1);
  // Both plugs stand in the same charge: their demands add.
  return (path === 'both-of-one-cylinder' ? 2 * atPlug : atPlug) + ADDED_KV[path];
}
