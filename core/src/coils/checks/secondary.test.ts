import { toldAs } from '../../testing/told-as.ts';
import { secondary } from './secondary.ts';

toldAs(
  secondary,
  {
    '10% off matches': {
      is: 'match: same, 1',
      asked: '10.0 kΩ',
      has: '11.0 kΩ',
      difference: '+10%',
      says: 'Its winding is as asked.',
      phrase: 'Secondary as asked',
    },
    '15% off is acceptable': {
      is: 'acceptable: off, 1.5',
      asked: '10.0 kΩ',
      has: '11.5 kΩ',
      difference: '+15%',
      says: 'Its secondary is +15% off: it gives another voltage than this engine reckons with.',
      toDo: 'Change all coils of the engine together.',
      phrase: 'Secondary +15%',
    },
    '16% off is a caution': {
      is: 'caution: off, 1.6',
      asked: '10.0 kΩ',
      has: '8.4 kΩ',
      difference: '−16%',
      says: 'Its secondary is −16% off: it gives another voltage than this engine reckons with.',
      toDo: 'Let the supervisor decide.',
      phrase: 'Secondary −16%',
    },
    'with a diode inside it is not asked': {
      is: 'not-asked: not-asked',
      asked: '',
      has: '',
      says: 'A diode or driver inside: an ohmmeter says nothing about this winding.',
      phrase: 'Not asked',
    },
    'unpublished it is measured': {
      is: 'unknown: missing, not open',
      asked: '',
      has: '',
      says: 'Not known: secondary resistance.',
      toDo: 'Measure from tower to tower or to the primary, in kΩ.',
      phrase: 'Secondary resistance not known',
    },
  },
  {
    'the very figure': [
      { 'coil.secondary': { kind: 'kohm', kohm: 10 }, 'coilAsked.secondaryKohm': 10 },
      {
        is: 'match: same',
        asked: '10.0 kΩ',
        has: '10.0 kΩ',
        says: 'Its winding is as asked.',
        phrase: 'Secondary as asked',
      },
    ],
    'where the engine maker states none': [
      { 'coil.secondary': { kind: 'kohm', kohm: 10 } },
      {
        is: 'not-asked: not-asked',
        asked: '',
        has: '',
        says: 'The engine maker states no secondary resistance.',
        phrase: 'Not asked',
      },
    ],
  },
);
