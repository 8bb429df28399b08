import { toldAs } from '../../testing/told-as.ts';
import { mounting } from './mounting.ts';

toldAs(
  mounting,
  {
    'holes 0.5 mm off still meet the bosses': {
      is: 'match: same',
      asked: '2 × M6, 60.0 mm apart',
      has: '2 × M6, 60.5 mm apart',
      says: 'Its holes meet the engine’s bosses.',
      phrase: 'Mounting as asked',
    },
    'holes 0.6 mm off are refused': {
      is: 'refuse: other',
      asked: '2 × M6, 60.0 mm apart',
      has: '2 × M6, 60.6 mm apart',
      says: 'Its holes do not meet the engine’s bosses: held loosely it shakes itself and its connector to pieces.',
      toDo: 'Do not fit it, and do not drill it.',
      phrase: 'Mounting 2 × M6, 60.6 mm apart, asked 2 × M6, 60.0 mm apart',
    },
    'one hole where two are asked is refused': {
      is: 'refuse: other',
      asked: '2 × M6, 60.0 mm apart',
      has: '1 × M6',
      says: 'Its holes do not meet the engine’s bosses: held loosely it shakes itself and its connector to pieces.',
      toDo: 'Do not fit it, and do not drill it.',
      phrase: 'Mounting 1 × M6, asked 2 × M6, 60.0 mm apart',
    },
    'holes for another screw are refused': {
      is: 'refuse: other',
      asked: '2 × M6, 60.0 mm apart',
      has: '2 × M5, 60.0 mm apart',
      says: 'Its holes do not meet the engine’s bosses: held loosely it shakes itself and its connector to pieces.',
      toDo: 'Do not fit it, and do not drill it.',
      phrase: 'Mounting 2 × M5, 60.0 mm apart, asked 2 × M6, 60.0 mm apart',
    },
    'unmeasured holes are measured first': {
      is: 'unknown: missing, open',
      asked: '',
      has: '',
      says: 'Not known: mounting.',
      toDo: 'Count the holes, and measure their distance and the screw.',
      phrase: 'Mounting not known',
    },
  },
  {
    'one hole for one': [
      {
        'coil.mounting': { holes: 1, threadMm: 6, spacingMm: 0 },
        'coilAsked.mounting': { holes: 1, threadMm: 6, spacingMm: 9 },
      },
      {
        is: 'match: same',
        asked: '1 × M6',
        has: '1 × M6',
        says: 'Its holes meet the engine’s bosses.',
        phrase: 'Mounting as asked',
      },
    ],
  },
);
