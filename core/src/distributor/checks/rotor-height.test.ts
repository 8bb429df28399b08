import { toldAs } from '../../testing/told-as.ts';
import { rotorHeight } from './rotor-height.ts';

toldAs(rotorHeight, {
  '1 mm off matches': {
    is: 'match: same, 1',
    asked: '38.0 mm',
    has: '39.0 mm',
    difference: '+1.0 mm',
    says: 'The cap’s spring presses on it.',
    phrase: 'Height as asked',
  },
  '1.1 mm higher is a caution': {
    is: 'caution: higher, 1.1',
    asked: '38.0 mm',
    has: '39.1 mm',
    difference: '+1.1 mm',
    says: 'It bends the spring or lifts the cap.',
    toDo: 'Let the supervisor decide.',
    phrase: '1.1 mm too high',
  },
  '2 mm lower is a caution': {
    is: 'caution: lower, 2',
    asked: '38.0 mm',
    has: '36.0 mm',
    difference: '−2.0 mm',
    says: 'The spring hardly touches it, and arcs there.',
    toDo: 'Let the supervisor decide.',
    phrase: '2.0 mm too low',
  },
  '2.1 mm lower is refused': {
    is: 'refuse: lower, 2.1',
    asked: '38.0 mm',
    has: '35.9 mm',
    difference: '−2.1 mm',
    says: 'The spring hardly touches it, and arcs there.',
    toDo: 'Do not fit it.',
    phrase: '2.1 mm too low',
  },
  '2.1 mm higher is refused': {
    is: 'refuse: higher, 2.1',
    asked: '38.0 mm',
    has: '40.1 mm',
    difference: '+2.1 mm',
    says: 'It bends the spring or lifts the cap.',
    toDo: 'Do not fit it.',
    phrase: '2.1 mm too high',
  },
  'a height not measured is measured first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: height.',
    toDo: 'Measure from the seat to the top of the spring, in mm.',
    phrase: 'Height not known',
  },
});
