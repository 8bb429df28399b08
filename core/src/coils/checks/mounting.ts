import type { Mounting } from '../../facts/coil-facts.ts';
import { defineCheck } from '../../fitment/define-check.ts';
import type { Say } from '../../fitment/say.ts';
import { within } from '../../fitment/tolerance.ts';

/** Coils: Mounting. */
const MATCH_MM = 0.5;

const near = (a: number, b: number): boolean => within(Math.abs(a - b), MATCH_MM);

/** A screw has its thread’s name in every system; only the distance of the holes is a length. */
const print = ({ holes, spacingMm, threadMm }: Mounting, say: Say): string =>
  `${holes} × M${threadMm}${holes > 1 ? `, ${say.quantity('length', spacingMm)} apart` : ''}`;

const two = { holes: 2, spacingMm: 60, threadMm: 6 };

export const mounting = defineCheck<
  'coil.mounting' | 'coilAsked.mounting',
  never,
  Record<'holes' | 'spacingMm' | 'threadMm' | 'askedHoles' | 'askedSpacingMm' | 'askedThreadMm', number>
>({
  id: 'mounting',
  title: 'Mounting',
  why: 'A coil that is not screwed down shakes its connector and its windings to pieces.',
  source: 'Coils: Mounting',
  needs: ['coil.mounting', 'coilAsked.mounting'],
  judge: (f) => {
    const [has, asked] = [f['coil.mounting'], f['coilAsked.mounting']];
    const figures = {
      ...has,
      askedHoles: asked.holes,
      askedSpacingMm: asked.spacingMm,
      askedThreadMm: asked.threadMm,
    };
    const isSame =
      has.holes === asked.holes &&
      near(has.threadMm, asked.threadMm) &&
      (has.holes === 1 || near(has.spacingMm, asked.spacingMm));
    return isSame ? { outcome: 'match', caseId: 'same', figures } : { outcome: 'refuse', caseId: 'other', figures };
  },
  explain: ({ caseId, figures: g }, say) => {
    const has = print(g, say);
    const asked = print({ holes: g.askedHoles, spacingMm: g.askedSpacingMm, threadMm: g.askedThreadMm }, say);
    return caseId === 'same'
      ? {
          asked,
          has,
          difference: null,
          says: 'Its holes meet the engine’s bosses.',
          toDo: null,
          phrase: 'Mounting as asked',
        }
      : {
          asked,
          has,
          difference: null,
          says: 'Its holes do not meet the engine’s bosses: held loosely it shakes itself and its connector to pieces.',
          toDo: 'Do not fit it, and do not drill it.',
          phrase: `Mounting ${has}, asked ${asked}`,
        };
  },
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
