import type { Mounting } from '../../facts/coil-facts.ts';
import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';
import { within } from '../../fitment/tolerance.ts';

/** Coils: Mounting. */
const MATCH_MM = 0.5;

const near = (a: number, b: number): boolean => within(Math.abs(a - b), MATCH_MM);
const print = ({ holes, spacingMm, threadMm }: Mounting): string =>
  `${holes} × M${threadMm}${holes > 1 ? `, ${spacingMm} mm apart` : ''}`;

const two = { holes: 2, spacingMm: 60, threadMm: 6 };

export const mounting = sameOrRefuse({
  id: 'mounting',
  title: 'Mounting',
  why: 'A coil that is not screwed down shakes its connector and its windings to pieces.',
  source: 'Coils: Mounting',
  has: 'coil.mounting',
  asked: 'coilAsked.mounting',
  same: (a, b) =>
    a.holes === b.holes && near(a.threadMm, b.threadMm) && (a.holes === 1 || near(a.spacingMm, b.spacingMm)),
  print,
  says: {
    same: 'Its holes meet the engine’s bosses.',
    other: 'Its holes do not meet the engine’s bosses: held loosely it shakes itself and its connector to pieces.',
  },
  toDo: 'Do not fit it, and do not drill it.',
  phrase: (has, asked) => `Mounting ${has}, asked ${asked}`,
  examples: [
    {
      says: 'holes 0.5 mm off still meet the bosses',
      facts: { 'coilAsked.mounting': two, 'coil.mounting': { ...two, spacingMm: 60.5 } },
      outcome: 'match',
    },
    {
      says: 'holes 0.6 mm off are refused',
      facts: { 'coilAsked.mounting': two, 'coil.mounting': { ...two, spacingMm: 60.6 } },
      outcome: 'refuse',
    },
    {
      says: 'one hole where two are asked is refused',
      facts: { 'coilAsked.mounting': two, 'coil.mounting': { ...two, holes: 1 } },
      outcome: 'refuse',
    },
    {
      says: 'holes for another screw are refused',
      facts: { 'coilAsked.mounting': two, 'coil.mounting': { ...two, threadMm: 5 } },
      outcome: 'refuse',
    },
    { says: 'unmeasured holes are measured first', facts: { 'coilAsked.mounting': two }, outcome: 'unknown' },
  ],
});
