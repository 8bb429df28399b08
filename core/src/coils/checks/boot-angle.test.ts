import { toldAs } from '../../testing/told-as.ts';
import { bootAngle } from './boot-angle.ts';

toldAs(
  bootAngle,
  {
    'straight for straight matches': {
      is: 'match: same',
      asked: 'straight',
      has: 'straight',
      says: 'Its boot comes down the well as the first one did.',
      phrase: 'Boot bend as asked',
    },
    'a stepped boot in a straight well is refused': {
      is: 'refuse: other',
      asked: 'straight',
      has: 'bent 12°',
      says: 'Its boot comes down another way: it does not go into the well, or bears on its wall and tracks to earth.',
      toDo: 'Do not fit it; hold the old coil beside it.',
      phrase: 'Boot bent 12° where straight is asked',
    },
    'an unseen boot is looked at first': {
      is: 'unknown: missing, open',
      asked: '',
      has: '',
      says: 'Not known: boot angle.',
      toDo: 'Is the boot straight, or bent? By how much?',
      phrase: 'Boot angle not known',
    },
    'where neither speaks of a bend it is not asked': {
      is: 'not-asked: not-asked',
      asked: '',
      has: '',
      says: 'Neither the coil nor the engine speaks of a bend.',
      phrase: 'Not asked',
    },
  },
  {
    'bent as asked': [
      { 'coilAsked.bootAngleDeg': 15, 'coil.bootAngleDeg': 15 },
      {
        is: 'match: same',
        asked: 'bent 15°',
        has: 'bent 15°',
        says: 'Its boot comes down the well as the first one did.',
        phrase: 'Boot bend as asked',
      },
    ],
    'a bent boot of which the engine says nothing': [
      { 'coil.bootAngleDeg': 15 },
      {
        is: 'unknown: missing, open',
        asked: '',
        has: '',
        says: 'Not known: asked boot angle.',
        toDo: 'Look into the well: does the boot come straight down?',
        phrase: 'Asked boot angle not known',
      },
    ],
  },
);
