import { toldAs } from '../../testing/told-as.ts';
import { classList } from './class-list.ts';

toldAs(classList, {
  'without a class it is not asked': {
    is: 'not-asked: not-asked',
    asked: '',
    has: '',
    says: 'No sanctioned class is named for this job.',
    phrase: 'Not asked',
  },
  'a listed number matches': {
    is: 'match: listed',
    asked: 'list of Tarn 2',
    has: 'TN19C',
    says: 'Its printed number is on the list in force.',
    phrase: 'On the class list',
  },
  'the resistor twin of a listed number is refused': {
    is: 'refuse: not-listed',
    asked: 'list of Tarn 2',
    has: 'TN19CR',
    says: 'It is not on the list in force: the car would be excluded, however alike the plug.',
    toDo: 'Sell a plug whose own printed number is on the list.',
    phrase: 'Not on the class list',
  },
  'no list in force is asked': {
    is: 'unknown: no-list, open',
    asked: 'list of Tarn 2',
    has: 'not known',
    says: 'No list of Tarn 2 is in force on that date.',
    toDo: 'Ask the organisers for the list in force.',
    phrase: 'Which list is in force?',
  },
  'an unread number is asked': {
    is: 'unknown: print-unknown, open',
    asked: 'list of Tarn 2',
    has: 'not known',
    says: 'The number printed on the plug is not known.',
    toDo: 'Read the number printed on the plug itself.',
    phrase: 'Read the printed number',
  },
});
