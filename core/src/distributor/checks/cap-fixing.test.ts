import { toldAs } from '../../testing/told-as.ts';
import { capFixing } from './cap-fixing.ts';

toldAs(capFixing, {
  'clips for clips match': {
    is: 'match: same',
    asked: 'clips',
    has: 'clips',
    says: 'It is held as the first one was; its screws are renewed, with locking compound.',
    phrase: 'Fixing as asked',
  },
  'screws where clips are asked are refused': {
    is: 'refuse: other',
    asked: 'clips',
    has: 'screws',
    says: 'The distributor has nothing to hold it with.',
    toDo: 'Do not fit it.',
    phrase: 'Held by screws, asked clips',
  },
  'fixing not seen is looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: fixing.',
    toDo: 'How is the cap held: clips or screws?',
    phrase: 'Fixing not known',
  },
});
