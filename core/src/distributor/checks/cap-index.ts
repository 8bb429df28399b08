import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

/** Half of what a rotor's broad tip still covers. */
const MATCH_DEG = 3;
const FULL_TURN_DEG = 360;

const apart = (a: number, b: number): number => {
  const turn = (((a - b) % FULL_TURN_DEG) + FULL_TURN_DEG) % FULL_TURN_DEG;
  return Math.min(turn, FULL_TURN_DEG - turn);
};

export const capIndex = sameOrRefuse({
  id: 'cap-index',
  title: 'Index',
  why: 'The key of the cap sets where each tower stands; another key leads every spark to the wrong cylinder.',
  source: 'Cap and rotor: Cap',
  has: 'cap.indexDeg',
  asked: 'capAsked.indexDeg',
  same: (a, b) => apart(a, b) <= MATCH_DEG,
  print: (deg) => `${deg}°`,
  says: {
    same: 'Its towers stand where the rotor points.',
    other:
      'Its key stands elsewhere: the rotor points between the towers, or to the wrong cylinder, and it fires back.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `Key at ${has}, asked ${asked}`,
  examples: [
    { says: '3° off still meets the tip', facts: { 'cap.indexDeg': 358, 'capAsked.indexDeg': 1 }, outcome: 'match' },
    { says: '3.5° off is refused', facts: { 'cap.indexDeg': 33.5, 'capAsked.indexDeg': 30 }, outcome: 'refuse' },
    { says: 'an index not measured is measured first', facts: { 'capAsked.indexDeg': 30 }, outcome: 'unknown' },
  ],
});
