import { ATMOSPHERE_KPA } from '../quantities/atmosphere.ts';

/** Rod over stroke of an ordinary engine, where nobody says. Spark demand: Density. */
export const USUAL_ROD_OVER_STROKE = 1.75;

const KELVIN = 273;
const REFERENCE_K = 293;

/** How far the piston is down from its top, in strokes, at an angle before the top. */
function downFromTop(beforeTopDeg: number, rodOverStroke: number): number {
  const rodOverCrank = 2 * rodOverStroke;
  const angle = (beforeTopDeg * Math.PI) / 180;
  return (rodOverCrank + 1 - Math.cos(angle) - Math.sqrt(rodOverCrank ** 2 - Math.sin(angle) ** 2)) / 2;
}

/** Volume at bottom dead centre over the volume at the spark. Spark demand: Density. */
export function volumeRatioAtSpark(
  compressionRatio: number,
  beforeTopDeg: number,
  rodOverStroke = USUAL_ROD_OVER_STROKE,
): number {
  return compressionRatio / (1 + (compressionRatio - 1) * downFromTop(beforeTopDeg, rodOverStroke));
}

/** Density between the electrodes against air at 20 °C and one atmosphere; `intakeKpa` is absolute. Spark demand: Density. */
export const densityAtSpark = (volumeRatio: number, intakeKpa: number, intakeC: number): number =>
  volumeRatio * (intakeKpa / ATMOSPHERE_KPA) * (REFERENCE_K / (intakeC + KELVIN));
