import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

export const capFixing = sameOrRefuse({
  id: 'cap-fixing',
  title: 'Fixing',
  why: 'A cap that is not held shakes until the rotor strikes it.',
  source: 'Cap and rotor: Cap',
  has: 'cap.fixing',
  asked: 'capAsked.fixing',
  print: (how) => how,
  says: {
    same: 'It is held as the first one was; its screws are renewed, with locking compound.',
    other: 'The distributor has nothing to hold it with.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `Held by ${has}, asked ${asked}`,
  examples: [
    { says: 'clips for clips match', facts: { 'cap.fixing': 'clips', 'capAsked.fixing': 'clips' }, outcome: 'match' },
    {
      says: 'screws where clips are asked are refused',
      facts: { 'cap.fixing': 'screws', 'capAsked.fixing': 'clips' },
      outcome: 'refuse',
    },
    { says: 'fixing not seen is looked at first', facts: { 'capAsked.fixing': 'clips' }, outcome: 'unknown' },
  ],
});
