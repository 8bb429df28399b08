import { toldAs } from '../../testing/told-as.ts';
import { capTowerCount } from './cap-towers.ts';

toldAs(capTowerCount, {
  'four for four match': {
    is: 'match: same',
    asked: '4',
    has: '4',
    says: 'One tower for each cylinder.',
    phrase: 'Towers as asked',
  },
  'six for four is refused': {
    is: 'refuse: other',
    asked: '4',
    has: '6',
    says: 'Its towers stand at other angles: the rotor points between them.',
    toDo: 'Do not fit it.',
    phrase: '6 towers where 4 are asked',
  },
  'uncounted towers are counted first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: towers.',
    toDo: 'Count the towers, without the coil’s.',
    phrase: 'Towers not known',
  },
});
