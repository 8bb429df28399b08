import { toldAs } from '../../testing/told-as.ts';
import { grounds } from './grounds.ts';

toldAs(grounds, {
  'one over the tip for one matches': {
    is: 'match: same',
    asked: '1, over the tip',
    has: '1, over the tip',
    says: 'Same count and form of ground.',
    phrase: 'Same grounds',
  },
  'two for one is acceptable': {
    is: 'acceptable: other-count',
    asked: '1, over the tip',
    has: '2, over the tip',
    difference: '2 for 1',
    says: '2 grounds where 1 is asked.',
    toDo: 'Do not try to set the gap; several grounds cannot be set alike.',
    phrase: '2 grounds: gap cannot be set',
  },
  'a side ground for one over the tip is acceptable': {
    is: 'acceptable: other-form',
    asked: '1, over the tip',
    has: '1, beside the tip',
    says: 'The ground stands beside the tip, not over the tip.',
    toDo: 'Mention it to the fitter.',
    phrase: 'Ground beside the tip',
  },
  'a surface gap where not designed is a caution': {
    is: 'caution: surface-not-designed',
    asked: '1, over the tip',
    has: '1, surface',
    says: 'A surface gap asks more of the coil than this engine was designed to give.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Surface gap where not designed',
  },
  'a bent ground where surface is designed is a caution': {
    is: 'caution: bent-for-surface',
    asked: '1, surface',
    has: '1, over the tip',
    says: 'A bent ground stands where the engine was designed for none.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Bent ground where surface is designed',
  },
  'an unknown count is asked for': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: grounds.',
    toDo: 'Count the ground electrodes.',
    phrase: 'Grounds not known',
  },
  'grounds never refuse a plug': {
    is: 'acceptable: other-count',
    asked: '1, over the tip',
    has: '4, beside the tip',
    difference: '4 for 1',
    says: '4 grounds where 1 is asked.',
    toDo: 'Do not try to set the gap; several grounds cannot be set alike.',
    phrase: '4 grounds: gap cannot be set',
  },
});
