import { defineCheck } from '../../fitment/define-check.ts';
import { within } from '../../fitment/tolerance.ts';
import { hasBoot, NO_BOOT } from '../has-boot.ts';

/** Coils: Resistance. */
const MATCH_MM = 1;
const REFUSE_SHORT_MM = 2;
const CAUTION_LONG_MM = 5;

const asked = { 'coilAsked.topology': 'on-plug', 'coilAsked.bootLengthMm': 118 } as const;
const of = (mm: number) => ({ ...asked, 'coil.bootLengthMm': mm });

export const boot = defineCheck({
  id: 'boot',
  title: 'Boot',
  why: 'A boot too short leaves a gap the spark must jump before the plug; one too long presses and tears.',
  source: 'Coils: Boot',
  needs: ['coil.bootLengthMm', 'coilAsked.bootLengthMm'],
  mayUse: ['coilAsked.topology'],
  notAsked: (f) => (hasBoot(f['coilAsked.topology']) ? undefined : NO_BOOT),
  judge: (f) => {
    const bootMm = f['coil.bootLengthMm'];
    const askedMm = f['coilAsked.bootLengthMm'];
    const differenceMm = Number((bootMm - askedMm).toFixed(6));
    const figures = { bootMm, askedMm, differenceMm };
    const size = Math.abs(differenceMm);
    const closeness = size / MATCH_MM;
    if (within(size, MATCH_MM)) return { outcome: 'match', caseId: 'same', figures, closeness };
    if (differenceMm < 0) {
      return within(size, REFUSE_SHORT_MM)
        ? { outcome: 'acceptable', caseId: 'shorter', figures, closeness }
        : { outcome: 'refuse', caseId: 'too-short', figures, closeness };
    }
    return { outcome: within(size, CAUTION_LONG_MM) ? 'acceptable' : 'caution', caseId: 'longer', figures, closeness };
  },
  explain: ({ caseId, outcome, figures: g }, say) => {
    const by = say.quantity('length', Math.abs(g.differenceMm));
    const common = {
      asked: say.quantity('length', g.askedMm),
      has: say.quantity('length', g.bootMm),
      difference: g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
    };
    switch (caseId) {
      case 'too-short':
        return {
          ...common,
          says: `Its boot ends ${by} above the plug: the spark jumps that first, burns the boot and misfires under load.`,
          toDo: 'Do not fit it.',
          phrase: `Boot ${by} too short`,
        };
      case 'shorter':
        return {
          ...common,
          says: `Its boot is ${by} shorter; the spring still reaches the plug.`,
          toDo: 'Have it pressed home until it is felt to seat.',
          phrase: `Boot ${by} shorter`,
        };
      case 'longer':
        return {
          ...common,
          says:
            outcome === 'caution'
              ? `Its boot is ${by} longer: screwed down it is squeezed, and splits where it bends.`
              : `Its boot is ${by} longer and is pressed together a little.`,
          toDo:
            outcome === 'caution' ? 'Let the supervisor decide.' : 'Look that the coil sits flat before it is screwed.',
          phrase: `Boot ${by} longer`,
        };
      default:
        return { ...common, says: 'Its contact stands where the plug’s top is.', toDo: null, phrase: 'Boot reaches' };
    }
  },
  examples: [
    { says: 'a boot 1 mm longer matches', facts: of(119), outcome: 'match' },
    { says: 'a boot 1.1 mm longer is acceptable', facts: of(119.1), outcome: 'acceptable', caseId: 'longer' },
    { says: 'a boot 2 mm short is acceptable', facts: of(116), outcome: 'acceptable', caseId: 'shorter' },
    { says: 'a boot 2.1 mm short is refused', facts: of(115.9), outcome: 'refuse', caseId: 'too-short' },
    { says: 'a boot 5 mm long is acceptable', facts: of(123), outcome: 'acceptable', caseId: 'longer' },
    { says: 'a boot 5.1 mm long is a caution', facts: of(123.1), outcome: 'caution', caseId: 'longer' },
    { says: 'an unmeasured boot is measured first', facts: asked, outcome: 'unknown' },
    {
      says: 'of a pack with leads it is not asked',
      facts: { 'coilAsked.topology': 'waste-spark' },
      outcome: 'not-asked',
    },
  ],
});
