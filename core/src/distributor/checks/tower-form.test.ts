import { toldAs } from '../../testing/told-as.ts';
import { towerForm } from './tower-form.ts';

toldAs(towerForm, {
  'sockets for sockets match': {
    is: 'match: same',
    asked: 'socket',
    has: 'socket',
    says: 'It takes the ends of the leads.',
    phrase: 'Tower form as asked',
  },
  'pegs where sockets are asked are refused': {
    is: 'refuse: other',
    asked: 'socket',
    has: 'peg',
    says: 'The leads’ ends do not hold on it: they creep out and arc.',
    toDo: 'Do not fit it with these leads.',
    phrase: 'Towers are a peg, asked socket',
  },
  'towers not seen are looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: tower form.',
    toDo: 'Look at the towers: sockets or pegs?',
    phrase: 'Tower form not known',
  },
});
