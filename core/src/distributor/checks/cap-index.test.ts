import { toldAs } from '../../testing/told-as.ts';
import { capIndex } from './cap-index.ts';

toldAs(capIndex, {
  '3° off still meets the tip': {
    is: 'match: same',
    asked: '1°',
    has: '358°',
    says: 'Its towers stand where the rotor points.',
    phrase: 'Index as asked',
  },
  '3.5° off is refused': {
    is: 'refuse: other',
    asked: '30°',
    has: '33.5°',
    says: 'Its key stands elsewhere: the rotor points between the towers, or to the wrong cylinder, and it fires back.',
    toDo: 'Do not fit it.',
    phrase: 'Key at 33.5°, asked 30°',
  },
  'an index not measured is measured first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: index.',
    toDo: 'Measure from the locating key to the tower of cylinder 1.',
    phrase: 'Index not known',
  },
});
