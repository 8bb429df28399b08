import { defineCheck } from '../../fitment/define-check.ts';
import { within } from '../../fitment/tolerance.ts';

/** Two gauges of one nominal size differ by less than this, mm. */
const SAME_SIZE_MM = 0.05;

const asked = {
  'position.threadDiameterMm': 14,
  'position.threadPitchMm': 1.25,
  'plug.threadDiameterMm': 14,
  'plug.threadPitchMm': 1.25,
} as const;

export const thread = defineCheck({
  id: 'thread',
  title: 'Thread',
  why: 'A thread of another diameter or pitch does not hold; forced in, it ruins the head.',
  source: 'Plugs: Thread',
  needs: ['plug.threadDiameterMm', 'plug.threadPitchMm', 'position.threadDiameterMm', 'position.threadPitchMm'],
  judgePart: (f) => {
    const [has, need] = [f['plug.threadDiameterMm'], f['position.threadDiameterMm']];
    const [pitch, needPitch] = [f['plug.threadPitchMm'], f['position.threadPitchMm']];
    const diameterDiffers = has !== undefined && need !== undefined && !within(Math.abs(has - need), SAME_SIZE_MM);
    const pitchDiffers =
      pitch !== undefined && needPitch !== undefined && !within(Math.abs(pitch - needPitch), SAME_SIZE_MM);
    if (!diameterDiffers && !pitchDiffers) return undefined;
    return {
      outcome: 'refuse',
      caseId: diameterDiffers ? 'other-diameter' : 'other-pitch',
      figures: {
        diameterMm: has ?? null,
        pitchMm: pitch ?? null,
        askedDiameterMm: need ?? null,
        askedPitchMm: needPitch ?? null,
      },
    };
  },
  judge: (f) => {
    const figures = {
      diameterMm: f['plug.threadDiameterMm'] as number | null,
      pitchMm: f['plug.threadPitchMm'] as number | null,
      askedDiameterMm: f['position.threadDiameterMm'] as number | null,
      askedPitchMm: f['position.threadPitchMm'] as number | null,
    };
    const diameterDiffers = !within(
      Math.abs(f['plug.threadDiameterMm'] - f['position.threadDiameterMm']),
      SAME_SIZE_MM,
    );
    const pitchDiffers = !within(Math.abs(f['plug.threadPitchMm'] - f['position.threadPitchMm']), SAME_SIZE_MM);
    if (diameterDiffers) return { outcome: 'refuse', caseId: 'other-diameter', figures };
    if (pitchDiffers) return { outcome: 'refuse', caseId: 'other-pitch', figures };
    return { outcome: 'match', caseId: 'same', figures };
  },
  explain: ({ outcome, caseId, figures: g }) => {
    const print = (d: number | null, p: number | null) => `${d === null ? 'M?' : `M${d}`} × ${p ?? '?'}`;
    const [need, has] = [print(g.askedDiameterMm, g.askedPitchMm), print(g.diameterMm, g.pitchMm)];
    if (outcome === 'match') {
      return {
        asked: need,
        has,
        difference: null,
        says: `${has}, as the head is cut.`,
        toDo: null,
        phrase: 'Same thread',
      };
    }
    const what = caseId === 'other-diameter' ? 'diameter' : 'pitch';
    return {
      asked: need,
      has,
      difference: `other ${what}`,
      says: `The thread’s ${what} is not the head’s: it will not start by hand, and forced in it ruins the head.`,
      toDo: 'Do not try it in the hole.',
      phrase: `Thread ${has}, head ${need}`,
    };
  },
  examples: [
    { says: 'the same thread matches', facts: asked, outcome: 'match' },
    {
      says: 'M12 in an M14 hole is refused',
      facts: { ...asked, 'plug.threadDiameterMm': 12 },
      outcome: 'refuse',
      caseId: 'other-diameter',
    },
    {
      says: 'M14 × 1.0 in an M14 × 1.25 hole is refused',
      facts: { ...asked, 'plug.threadPitchMm': 1 },
      outcome: 'refuse',
      caseId: 'other-pitch',
    },
    { says: 'a gauged 14.04 is an M14', facts: { ...asked, 'plug.threadDiameterMm': 14.04 }, outcome: 'match' },
    {
      says: 'a gauged 14.06 is not',
      facts: { ...asked, 'plug.threadDiameterMm': 14.06 },
      outcome: 'refuse',
      caseId: 'other-diameter',
    },
    {
      says: 'a wrong diameter is refused even with the pitch unknown',
      facts: { 'position.threadDiameterMm': 14, 'position.threadPitchMm': 1.25, 'plug.threadDiameterMm': 18 },
      outcome: 'refuse',
      caseId: 'other-diameter',
    },
    {
      says: 'a wrong pitch is refused even with the diameter unknown',
      facts: { 'position.threadDiameterMm': 14, 'position.threadPitchMm': 1.25, 'plug.threadPitchMm': 1.5 },
      outcome: 'refuse',
      caseId: 'other-pitch',
    },
    {
      says: 'the right diameter with no pitch stays unknown',
      facts: { 'position.threadDiameterMm': 14, 'position.threadPitchMm': 1.25, 'plug.threadDiameterMm': 14 },
      outcome: 'unknown',
    },
  ],
});
