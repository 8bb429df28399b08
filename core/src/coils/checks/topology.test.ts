import { toldAs } from '../../testing/told-as.ts';
import { topology } from './topology.ts';

toldAs(topology, {
  'a coil on the plug where one is asked matches': {
    is: 'match: same',
    asked: 'coil on the plug',
    has: 'coil on the plug',
    says: 'It serves the plugs in the way this engine was wired for.',
    phrase: 'Form as asked',
  },
  'a can where a pack is asked is refused': {
    is: 'refuse: other',
    asked: 'waste-spark pack',
    has: 'single can',
    says: 'It serves the plugs in another way than this engine is wired for: nothing would fire in time.',
    toDo: 'Do not fit it.',
    phrase: 'Single can where a waste-spark pack is asked',
  },
  'an unknown form is asked for': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: form of coil.',
    toDo: 'Look at the coil: on the plug, beside it, a pack with towers, or a can?',
    phrase: 'Form of coil not known',
  },
});
