import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

export const towerForm = sameOrRefuse({
  id: 'tower-form',
  title: 'Tower form',
  why: 'The leads’ ends go into sockets or over pegs; the other form does not hold them.',
  source: 'Cap and rotor: Cap',
  has: 'cap.towerForm',
  asked: 'capAsked.towerForm',
  print: (form) => form,
  says: {
    same: 'It takes the ends of the leads.',
    other: 'The leads’ ends do not hold on it: they creep out and arc.',
  },
  toDo: 'Do not fit it with these leads.',
  phrase: (has, asked) => `Towers are a ${has}, asked ${asked}`,
  examples: [
    {
      says: 'sockets for sockets match',
      facts: { 'cap.towerForm': 'socket', 'capAsked.towerForm': 'socket' },
      outcome: 'match',
    },
    {
      says: 'pegs where sockets are asked are refused',
      facts: { 'cap.towerForm': 'peg', 'capAsked.towerForm': 'socket' },
      outcome: 'refuse',
    },
    { says: 'towers not seen are looked at first', facts: { 'capAsked.towerForm': 'socket' }, outcome: 'unknown' },
  ],
});
