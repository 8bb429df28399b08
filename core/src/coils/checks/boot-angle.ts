import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

const asked = { 'coilAsked.bootAngleDeg': 0 } as const;

export const bootAngle = sameOrRefuse({
  id: 'boot-angle',
  title: 'Boot bend',
  why: 'A stepped or bent boot goes down a well made for it and no other.',
  source: 'Coils: Boot',
  has: 'coil.bootAngleDeg',
  asked: 'coilAsked.bootAngleDeg',
  idle: (f) =>
    f['coilAsked.bootAngleDeg'] === undefined && f['coil.bootAngleDeg'] === undefined
      ? 'Neither the coil nor the engine speaks of a bend.'
      : undefined,
  print: (deg) => (deg === 0 ? 'straight' : `bent ${deg}°`),
  says: {
    same: 'Its boot comes down the well as the first one did.',
    other: 'Its boot comes down another way: it does not go into the well, or bears on its wall and tracks to earth.',
  },
  toDo: 'Do not fit it; hold the old coil beside it.',
  phrase: (has, wanted) => `Boot ${has} where ${wanted} is asked`,
  examples: [
    { says: 'straight for straight matches', facts: { ...asked, 'coil.bootAngleDeg': 0 }, outcome: 'match' },
    {
      says: 'a stepped boot in a straight well is refused',
      facts: { ...asked, 'coil.bootAngleDeg': 12 },
      outcome: 'refuse',
    },
    { says: 'an unseen boot is looked at first', facts: asked, outcome: 'unknown' },
    { says: 'where neither speaks of a bend it is not asked', facts: {}, outcome: 'not-asked' },
  ],
});
