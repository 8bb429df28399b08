import { toldAs } from '../../testing/told-as.ts';
import { shaft } from './shaft.ts';

toldAs(shaft, {
  'a flat for a flat matches': {
    is: 'match: same',
    asked: 'flat on the shaft',
    has: 'flat on the shaft',
    says: 'It goes on the shaft one way round, as it must.',
    phrase: 'Seat as asked',
  },
  'a slot where a flat is asked is refused': {
    is: 'refuse: other',
    asked: 'flat on the shaft',
    has: 'slot',
    says: 'It does not seat on this shaft: it turns loose or points wrong.',
    toDo: 'Do not fit it.',
    phrase: 'Seat slot, asked flat on the shaft',
  },
  'a seat not seen is looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: seat on the shaft.',
    toDo: 'Look under the rotor: flat, slot, square or two screws?',
    phrase: 'Seat on the shaft not known',
  },
});
