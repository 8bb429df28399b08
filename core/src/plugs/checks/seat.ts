import { defineCheck } from '../../fitment/define-check.ts';

export const seat = defineCheck({
  id: 'seat',
  title: 'Seat',
  why: 'A gasket seals on a flat, a taper in a cone; crossed, neither seals and the plug sits at the wrong depth.',
  source: 'Plugs: Seat',
  needs: ['plug.seat', 'position.seat'],
  judge: (f) => {
    const has = f['plug.seat'] === 'taper' ? 'taper' : 'gasket';
    const figures = { has, asked: f['position.seat'] };
    return has === f['position.seat']
      ? { outcome: 'match', caseId: 'same', figures }
      : { outcome: 'refuse', caseId: has === 'taper' ? 'taper-in-gasket' : 'gasket-in-taper', figures };
  },
  explain: ({ outcome, caseId, figures: g }) => {
    const common = { asked: g.asked, has: g.has, difference: null };
    if (outcome === 'match')
      return { ...common, says: `A ${g.has} seat, as the head is cut.`, toDo: null, phrase: 'Same seat' };
    const taper = caseId === 'taper-in-gasket';
    return {
      ...common,
      says: taper
        ? 'A cone on a flat spot face seals on a line at best: it leaks, overheats and works loose.'
        : 'A gasket cannot seal in a cone: it leaks, overheats and stands proud of its depth.',
      toDo: `Sell a ${g.asked}-seat plug; the seat cannot be made up with a washer.`,
      phrase: taper ? 'Taper seat in a gasket head' : 'Gasket seat in a taper head',
    };
  },
  examples: [
    {
      says: 'a fixed gasket in a gasket head matches',
      facts: { 'plug.seat': 'gasket-fixed', 'position.seat': 'gasket' },
      outcome: 'match',
    },
    {
      says: 'a loose gasket is still a gasket',
      facts: { 'plug.seat': 'gasket-loose', 'position.seat': 'gasket' },
      outcome: 'match',
    },
    {
      says: 'a taper in a taper head matches',
      facts: { 'plug.seat': 'taper', 'position.seat': 'taper' },
      outcome: 'match',
    },
    {
      says: 'a taper plug in a gasket head is refused',
      facts: { 'plug.seat': 'taper', 'position.seat': 'gasket' },
      outcome: 'refuse',
      caseId: 'taper-in-gasket',
    },
    {
      says: 'a gasket plug in a taper head is refused',
      facts: { 'plug.seat': 'gasket-fixed', 'position.seat': 'taper' },
      outcome: 'refuse',
      caseId: 'gasket-in-taper',
    },
    { says: 'an unknown seat is asked for', facts: { 'position.seat': 'taper' }, outcome: 'unknown' },
  ],
});
