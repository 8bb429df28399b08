import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

export const towers = sameOrRefuse({
  id: 'towers',
  title: 'Towers',
  why: 'Every plug it serves needs its own outlet, and an outlet left open arcs to whatever is near.',
  source: 'Coils: Form',
  has: 'coil.towersCount',
  asked: 'coilAsked.towersCount',
  print: String,
  says: {
    same: 'As many outlets as plugs that it must serve.',
    other: 'With another number of outlets a cylinder stays without spark, or an open tower arcs and kills the coil.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `${has} ${has === '1' ? 'tower' : 'towers'} where ${asked} are asked`,
  examples: [
    {
      says: 'four towers where four are asked match',
      facts: { 'coil.towersCount': 4, 'coilAsked.towersCount': 4 },
      outcome: 'match',
    },
    {
      says: 'a two-tower pack where four are asked is refused',
      facts: { 'coil.towersCount': 2, 'coilAsked.towersCount': 4 },
      outcome: 'refuse',
    },
    { says: 'uncounted towers are counted first', facts: { 'coilAsked.towersCount': 4 }, outcome: 'unknown' },
  ],
});
