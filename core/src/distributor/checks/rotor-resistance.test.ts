import { toldAs } from '../../testing/told-as.ts';
import { rotorResistance } from './rotor-resistance.ts';

toldAs(rotorResistance, {
  'inside the range matches': {
    is: 'match: inside',
    asked: '4.0–6.0 kΩ',
    has: '6.0 kΩ',
    says: 'Suppressed as asked.',
    phrase: 'Resistance as asked',
  },
  'outside it is a caution': {
    is: 'caution: too-much',
    asked: '4.0–6.0 kΩ',
    has: '6.1 kΩ',
    says: 'Another resistance than asked: it disturbs, or weakens the spark.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Another resistance',
  },
  'unpublished it is measured': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: rotor resistance.',
    toDo: 'Measure from the spring to the tip, in kΩ.',
    phrase: 'Rotor resistance not known',
  },
});
