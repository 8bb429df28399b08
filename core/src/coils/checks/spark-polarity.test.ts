import { toldAs } from '../../testing/told-as.ts';
import { sparkPolarity } from './spark-polarity.ts';

toldAs(sparkPolarity, {
  'negative for negative matches': {
    is: 'match: same',
    asked: 'negative',
    has: 'negative',
    says: 'Its spark runs the way the engine was designed for.',
    phrase: 'Spark as asked',
  },
  'the other way is a caution': {
    is: 'caution: other',
    asked: 'negative',
    has: 'positive',
    says: 'Its spark runs the other way: it asks about 15% more voltage and wears the other electrode.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Spark runs the other way',
  },
  'unpublished it is unknown': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: spark polarity.',
    toDo: 'Look up which way the coil’s spark runs.',
    phrase: 'Spark polarity not known',
  },
});
