import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

const PRINTED = { flat: 'flat on the shaft', slot: 'slot', square: 'square', 'two-screws': 'two screws' } as const;

export const shaft = sameOrRefuse({
  id: 'shaft',
  title: 'Seat',
  why: 'The rotor goes on one way round; on another seat it turns loose or fires the wrong cylinder.',
  source: 'Cap and rotor: Rotor',
  has: 'rotor.shaft',
  asked: 'rotorAsked.shaft',
  print: (form) => PRINTED[form],
  says: {
    same: 'It goes on the shaft one way round, as it must.',
    other: 'It does not seat on this shaft: it turns loose or points wrong.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `Seat ${has}, asked ${asked}`,
  examples: [
    {
      says: 'a flat for a flat matches',
      facts: { 'rotor.shaft': 'flat', 'rotorAsked.shaft': 'flat' },
      outcome: 'match',
    },
    {
      says: 'a slot where a flat is asked is refused',
      facts: { 'rotor.shaft': 'slot', 'rotorAsked.shaft': 'flat' },
      outcome: 'refuse',
    },
    { says: 'a seat not seen is looked at first', facts: { 'rotorAsked.shaft': 'flat' }, outcome: 'unknown' },
  ],
});
