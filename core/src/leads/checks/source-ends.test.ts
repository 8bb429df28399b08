import { toldAs } from '../../testing/told-as.ts';
import { sourceEnds } from './source-ends.ts';

toldAs(sourceEnds, {
  'socket ends for a socketed cap match': {
    is: 'match: same',
    asked: 'socket',
    has: 'socket',
    says: 'The ends hold in the coil or cap.',
    phrase: 'Source end as asked',
  },
  'one end for a peg is enough to refuse': {
    is: 'refuse: other',
    asked: 'socket',
    has: 'socket and peg',
    says: 'The ends are made for the other form of tower: they creep out and arc.',
    toDo: 'Do not fit it.',
    phrase: 'Ends for socket and peg, asked socket',
  },
  'ends not seen are looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: leads of the set.',
    toDo: 'Lay the leads out: measure each, contact to contact, and note its boots.',
    phrase: 'Leads of the set not known',
  },
});
