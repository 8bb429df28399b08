import { REACH_MM } from '../plugs/checks/reach.ts';

/** What decides whether one engine's plug does harm in another: the projection of its positions' ruling figures. */
export interface HoleOf {
  readonly threadDiameterMm: number | null;
  readonly threadPitchMm: number | null;
  readonly reachMm: number | null;
  readonly seat: string | null;
  readonly gapMm: number | null;
}

const GAP_BAND_MM = 0.1;

/** What follows when the plug of the guessed engine is fitted to the one it really is, worst first; empty when nothing does. */
export function harmOf(guessed: HoleOf, really: HoleOf): string {
  const differs = (a: number | null, b: number | null, by = 1e-6) => a !== null && b !== null && Math.abs(a - b) > by;
  if (
    differs(guessed.threadDiameterMm, really.threadDiameterMm) ||
    differs(guessed.threadPitchMm, really.threadPitchMm)
  )
    return `an M${guessed.threadDiameterMm} plug does not start in an M${really.threadDiameterMm} hole; forced, it costs the thread`;
  if (differs(guessed.reachMm, really.reachMm, REACH_MM.match)) {
    return guessed.reachMm! > really.reachMm!
      ? `a ${guessed.reachMm} mm plug in a ${really.reachMm} mm head bares its threads in the chamber and may meet the piston`
      : `a ${guessed.reachMm} mm plug in a ${really.reachMm} mm head shrouds the spark and carbons the thread`;
  }
  if (guessed.seat !== null && really.seat !== null && guessed.seat !== really.seat)
    return `a ${guessed.seat} seat leaks and overheats where a ${really.seat} seat is asked`;
  if (differs(guessed.gapMm, really.gapMm, GAP_BAND_MM))
    return `the gap is ${Math.abs(guessed.gapMm! - really.gapMm!).toFixed(2)} mm off and has to be set again`;
  return '';
}
