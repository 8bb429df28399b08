import { rulingValue, type FactId, type FactSheet } from '../facts/facts.ts';

/** Facts of a coil that are plainly one or another, each beside what the engine asks. */
const ALIKE_OR_NOT = [
  ['coil.topology', 'coilAsked.topology'],
  ['coil.connector', 'coilAsked.connector'],
  ['coil.pinsCount', 'coilAsked.pinsCount'],
  ['coil.towersCount', 'coilAsked.towersCount'],
  ['coil.builtInDriver', 'coilAsked.builtInDriver'],
  ['coil.bootAngleDeg', 'coilAsked.bootAngleDeg'],
  ['coil.grips', 'coilAsked.grips'],
  ['coil.mounting', 'coilAsked.mounting'],
  ['coil.sparkPolarity', 'coilAsked.sparkPolarity'],
] as const satisfies readonly (readonly [FactId, FactId])[];
const UNKNOWN = 0.5;
/** A boot that is so much shorter, or longer, counts as much as a fact that is another. */
const SHORTER_MM = 2;
const LONGER_MM = 10;

const same = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && JSON.stringify(a) === JSON.stringify(b));

/**
 * How far a coil is from what an engine asks, by what is compared at a glance: 0 where nothing is known to differ, 1 for each
 * fact that is another, a half for each that is not known. No verdict: it tells which of thousands are judged.
 */
export function coilDistance(coil: FactSheet, asked: FactSheet): number {
  let distance = 0;
  for (const [own, wanted] of ALIKE_OR_NOT) {
    const ask = rulingValue(asked, wanted);
    if (ask === undefined) continue;
    const has = rulingValue(coil, own);
    if (has === undefined) distance += UNKNOWN;
    else if (!same(has, ask)) distance += 1;
  }
  const bootMm = rulingValue(coil, 'coil.bootLengthMm');
  const askedMm = rulingValue(asked, 'coilAsked.bootLengthMm');
  if (askedMm === undefined) return distance;
  if (bootMm === undefined) return distance + UNKNOWN;
  return distance + (bootMm < askedMm ? (askedMm - bootMm) / SHORTER_MM : (bootMm - askedMm) / LONGER_MM);
}
