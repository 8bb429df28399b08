import { toldAs } from '../../testing/told-as.ts';
import { driver } from './driver.ts';

toldAs(driver, {
  'a driver inside where one is asked matches': {
    is: 'match: same',
    asked: 'driver inside',
    has: 'driver inside',
    says: 'It is driven as this engine drives it.',
    phrase: 'Driver as asked',
  },
  'a plain coil where the driver must be inside is refused': {
    is: 'refuse: other',
    asked: 'driver inside',
    has: 'no driver inside',
    says: 'It is driven in another way: it stays dead, or burns out the control unit’s output.',
    toDo: 'Do not fit it, not even to try.',
    phrase: 'No driver inside',
  },
  'a coil of which it is not known is asked': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: driver inside.',
    toDo: 'Look up whether the coil has its driver built in.',
    phrase: 'Driver inside not known',
  },
});
