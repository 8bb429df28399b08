import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

export const capTowerCount = sameOrRefuse({
  id: 'cap-towers',
  title: 'Towers',
  why: 'The towers stand at equal angles, so a cap for another number of cylinders fires at the wrong moment.',
  source: 'Cap and rotor: Cap',
  has: 'cap.towersCount',
  asked: 'capAsked.towersCount',
  print: String,
  says: {
    same: 'One tower for each cylinder.',
    other: 'Its towers stand at other angles: the rotor points between them.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `${has} towers where ${asked} are asked`,
  examples: [
    { says: 'four for four match', facts: { 'cap.towersCount': 4, 'capAsked.towersCount': 4 }, outcome: 'match' },
    { says: 'six for four is refused', facts: { 'cap.towersCount': 6, 'capAsked.towersCount': 4 }, outcome: 'refuse' },
    { says: 'uncounted towers are counted first', facts: { 'capAsked.towersCount': 4 }, outcome: 'unknown' },
  ],
});
