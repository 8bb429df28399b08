import { toldAs } from '../../testing/told-as.ts';
import { primary } from './primary.ts';

toldAs(primary, {
  '10% off matches': {
    is: 'match: same, 1',
    asked: '0.50 Ω',
    has: '0.55 Ω',
    difference: '+10%',
    says: 'It takes the current this engine gives it.',
    phrase: 'Primary as asked',
  },
  '11% off is acceptable': {
    is: 'acceptable: higher, 1.1',
    asked: '0.50 Ω',
    has: '0.56 Ω',
    difference: '+11%',
    says: 'Its primary is +11% off: it takes less current, and the spark is weaker.',
    toDo: 'Change all coils of the engine together.',
    phrase: 'Primary +11%',
  },
  '15% off is acceptable': {
    is: 'acceptable: lower, 1.5',
    asked: '0.50 Ω',
    has: '0.43 Ω',
    difference: '−15%',
    says: 'Its primary is −15% off: it takes more current, and coil and driver run hot.',
    toDo: 'Change all coils of the engine together.',
    phrase: 'Primary −15%',
  },
  '16% off is a caution': {
    is: 'caution: higher, 1.6',
    asked: '0.50 Ω',
    has: '0.58 Ω',
    difference: '+16%',
    says: 'Its primary is +16% off: it takes less current, and the spark is weaker.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Primary +16%',
  },
  'anywhere inside an asked range it is as asked': {
    is: 'match: same',
    asked: '0.40–0.62 Ω',
    has: '0.62 Ω',
    says: 'It takes the current this engine gives it.',
    phrase: 'Primary as asked',
  },
  'outside a range it is held against the nearer end': {
    is: 'caution: higher, 2.0968',
    asked: '0.40–0.62 Ω',
    has: '0.75 Ω',
    difference: '+21%',
    says: 'Its primary is +21% off: it takes less current, and the spark is weaker.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Primary +21%',
  },
  'unpublished it is measured': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: primary resistance.',
    toDo: 'Measure across the primary pins, the coil at room temperature.',
    phrase: 'Primary resistance not known',
  },
});
