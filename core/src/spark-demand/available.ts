import type { OperatingPoint } from './operating-points.ts';

/** How a coil reaches its plugs: what it has to charge, and how often. */
export type CoilPlace = 'on-plug' | 'pack' | 'distributor';

/** A coil fed by a battery. */
export interface InductiveCoil {
  readonly kind: 'inductive';
  readonly place: CoilPlace;
  /** Plugs that one distributor serves. */
  readonly cylinders: number;
  /** At 20 °C. */
  readonly primaryOhm: number;
  readonly inductanceMh: number;
  readonly peakA: number;
  readonly ratedKv: number;
  /** In its feed while running; bridged at cranking. */
  readonly ballastOhm?: number | undefined;
  readonly longestDwellMs?: number | undefined;
  /** Contact points give a share of the period, not a time. */
  readonly onPoints?: boolean | undefined;
}

/** A magneto, by its maker's table, slowest first. */
export interface Magneto {
  readonly kind: 'magneto';
  readonly kvAtRpm: readonly { readonly rpm: number; readonly kv: number }[];
}

export type SparkSource = InductiveCoil | Magneto;

const EFFICIENCY = 0.6;
const CAPACITY_PF: Readonly<Record<CoilPlace, number>> = { 'on-plug': 50, pack: 90, distributor: 110 };
const COPPER_PER_C = 0.00393;
const REST_MS = 1.5;
const LEAST_LONGEST_MS = 8;
const NOMINAL_V = 14;
const MAGNETO_START_RPM = 300;
const POINTS_SHARE: Readonly<Record<number, number>> = { 4: 0.6, 6: 0.63, 8: 0.67 };

/** Milliseconds until a current is reached through a winding; Infinity where it never is. */
function msUntil(peakA: number, volts: number, ohm: number, inductanceMh: number): number {
  return ohm * peakA >= volts ? Infinity : (-inductanceMh / ohm) * Math.log(1 - (ohm * peakA) / volts);
}

/** What an inductive coil can give, kV. Spark demand: Coil. */
function inductiveKv(coil: InductiveCoil, { rpm, batteryV, coilC, id }: OperatingPoint): number {
  const copper = (celsius: number) => coil.primaryOhm * (1 + COPPER_PER_C * (celsius - 20));
  const ohm = copper(coilC) + (id === 'cold-crank' ? 0 : (coil.ballastOhm ?? 0));
  const charges = { 'on-plug': 1, pack: 2, distributor: coil.cylinders }[coil.place];
  const periodMs = 120_000 / (rpm * charges);
  const nominalMs = msUntil(coil.peakA, NOMINAL_V, copper(90), coil.inductanceMh);
  const longestMs =
    coil.longestDwellMs ?? Math.max(LEAST_LONGEST_MS, Number.isFinite(nominalMs) ? 3 * nominalMs : LEAST_LONGEST_MS);
  const dwellMs = coil.onPoints
    ? (POINTS_SHARE[coil.cylinders] ?? 0.6) * periodMs
    : Math.min(msUntil(coil.peakA, batteryV, ohm, coil.inductanceMh), longestMs, Math.max(0, periodMs - REST_MS));
  const amps = Math.min(coil.peakA, (batteryV / ohm) * (1 - Math.exp((-dwellMs * ohm) / coil.inductanceMh)));
  const joules = (0.5 * coil.inductanceMh * amps ** 2) / 1000;
  const volts = Math.sqrt((2 * EFFICIENCY * joules) / (CAPACITY_PF[coil.place] * 1e-12));
  return Math.min(volts / 1000, coil.ratedKv);
}

/** What a magneto gives at a speed, straight between the points of its table; undefined outside it. Spark demand: Magneto. */
function magnetoKv({ kvAtRpm }: Magneto, rpm: number): number | undefined {
  const after = kvAtRpm.findIndex((point) => point.rpm >= rpm);
  const [high, low] = [kvAtRpm[after], kvAtRpm[Math.max(0, after - 1)]];
  if (!high || !low || low.rpm > rpm) return undefined;
  return high.rpm === low.rpm ? high.kv : low.kv + ((high.kv - low.kv) * (rpm - low.rpm)) / (high.rpm - low.rpm);
}

/** What can be had at an operating point, kV; undefined outside a magneto's table. */
export const availableKv = (source: SparkSource, point: OperatingPoint): number | undefined =>
  source.kind === 'inductive'
    ? inductiveKv(source, point)
    : magnetoKv(source, point.id === 'cold-crank' ? MAGNETO_START_RPM : point.rpm);
