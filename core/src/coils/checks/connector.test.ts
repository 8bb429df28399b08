import { toldAs } from '../../testing/told-as.ts';
import { connector } from './connector.ts';

toldAs(
  connector,
  {
    'the same face and pins match': {
      is: 'match: same',
      asked: '3 pins, flat, key on the left',
      has: '3 pins, flat, key on the left',
      says: 'The loom’s plug goes on as it did.',
      phrase: 'Connector as asked',
    },
    'four pins where three are asked are refused': {
      is: 'refuse: pins',
      asked: '3 pins, flat, key on the left',
      has: '4 pins, flat, key on the left',
      says: 'It has 4 pins and the loom’s plug 3: the wires for driving it are others.',
      toDo: 'Do not fit it, and never splice the loom to suit.',
      phrase: '4 pins where 3 are asked',
    },
    'the key on the other side is refused': {
      is: 'refuse: face',
      asked: '3 pins, flat, key on the left',
      has: '3 pins, flat, key on the right',
      says: 'The key stands elsewhere: the loom’s plug does not go on without force.',
      toDo: 'Do not fit it; hold the old coil beside it.',
      phrase: 'Connector flat, key on the right',
    },
    'wrong pins refuse even while the face is unknown': {
      is: 'refuse: pins',
      asked: '3 pins, flat, key on the left',
      has: '4 pins, face not known',
      says: 'It has 4 pins and the loom’s plug 3: the wires for driving it are others.',
      toDo: 'Do not fit it, and never splice the loom to suit.',
      phrase: '4 pins where 3 are asked',
    },
    'an unseen connector is looked at first': {
      is: 'unknown: missing, open',
      asked: '',
      has: '',
      says: 'Not known: connector and pins.',
      toDo: 'Hold the coil’s connector beside the drawings: which face? Count the pins of the connector.',
      phrase: 'Connector and pins not known',
    },
  },
  {
    'another face refuses even while its pins are not counted': [
      { 'coil.connector': 'flat-right', 'coilAsked.connector': 'flat-left', 'coilAsked.pinsCount': 3 },
      {
        is: 'refuse: face',
        asked: '3 pins, flat, key on the left',
        has: 'pins not counted, flat, key on the right',
        says: 'The key stands elsewhere: the loom’s plug does not go on without force.',
        toDo: 'Do not fit it; hold the old coil beside it.',
        phrase: 'Connector flat, key on the right',
      },
    ],
    'the same face and nothing counted stays open': [
      { 'coil.connector': 'flat-left', 'coilAsked.connector': 'flat-left', 'coilAsked.pinsCount': 3 },
      {
        is: 'unknown: missing, open',
        asked: '',
        has: '',
        says: 'Not known: pins.',
        toDo: 'Count the pins of the connector.',
        phrase: 'Pins not known',
      },
    ],
    'the same pins and a face not seen stays open': [
      { 'coil.pinsCount': 3, 'coilAsked.connector': 'flat-left', 'coilAsked.pinsCount': 3 },
      {
        is: 'unknown: missing, open',
        asked: '',
        has: '',
        says: 'Not known: connector.',
        toDo: 'Hold the coil’s connector beside the drawings: which face?',
        phrase: 'Connector not known',
      },
    ],
  },
);
