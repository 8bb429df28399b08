import { ATMOSPHERE_KPA } from '../quantities/atmosphere.ts';
import { densityAtSpark, volumeRatioAtSpark } from './density.ts';

/** What an estimate has to be told of the engine. */
export interface SparkEngine {
  readonly compressionRatio: number;
  readonly ratedRpm: number;
  /** Over the outside air, kPa; nothing where it breathes by itself. */
  readonly boostKpa: number;
  readonly isOnGas: boolean;
  readonly rodOverStroke?: number | undefined;
}

export const OPERATING_POINTS = ['cold-crank', 'torque-peak', 'top-speed'] as const;
export type OperatingPointId = (typeof OPERATING_POINTS)[number];

/** One state of the engine at which the spark has to come. */
export interface OperatingPoint {
  readonly id: OperatingPointId;
  readonly rpm: number;
  readonly batteryV: number;
  /** Of the coil's copper. */
  readonly coilC: number;
  /** Against air at 20 °C and one atmosphere. */
  readonly density: number;
}

/** Late inlet closing and leakage leave three quarters of the filling at cranking speed. */
const CRANK_FILLING = 0.75;
const [CRANK, RUNNING] = [
  { rpm: 250, intakeC: -10, batteryV: 8, coilC: -10, beforeTopDeg: 5 },
  { intakeC: 40, batteryV: 14, coilC: 90 },
];

/** The three points that are looked at, each with its stated defaults. Spark demand: Operating points. */
export function operatingPoints(engine: SparkEngine): readonly OperatingPoint[] {
  const { compressionRatio, ratedRpm, boostKpa, rodOverStroke } = engine;
  const ratio = (deg: number) => volumeRatioAtSpark(compressionRatio, deg, rodOverStroke);
  const running = (id: OperatingPointId, rpm: number, beforeTopDeg: number): OperatingPoint => ({
    id,
    rpm,
    batteryV: RUNNING.batteryV,
    coilC: RUNNING.coilC,
    density: densityAtSpark(ratio(beforeTopDeg), ATMOSPHERE_KPA + boostKpa, RUNNING.intakeC),
  });
  return [
    {
      id: 'cold-crank',
      rpm: CRANK.rpm,
      batteryV: CRANK.batteryV,
      coilC: CRANK.coilC,
      density: densityAtSpark(ratio(CRANK.beforeTopDeg) * CRANK_FILLING, ATMOSPHERE_KPA, CRANK.intakeC),
    },
    running('torque-peak', ratedRpm / 2, 15),
    running('top-speed', ratedRpm, 30),
  ];
}
