import { toldAs } from '../../testing/told-as.ts';
import { grip } from './grip.ts';

toldAs(grip, {
  'a contact for solid tops on solid tops matches': {
    is: 'match: same',
    asked: 'solid plug top',
    has: 'solid plug top',
    says: 'Its contact takes what stands there.',
    phrase: 'Contact as asked',
  },
  'a contact for a bare stud on solid tops is refused': {
    is: 'refuse: other',
    asked: 'solid plug top',
    has: 'bare stud',
    says: 'Its contact does not grip what stands there: the spark jumps inside the boot and burns it.',
    toDo: 'Do not fit it.',
    phrase: 'Made for a bare stud, not a solid plug top',
  },
  'an unseen contact is looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: contact.',
    toDo: 'Look into the boot: what plug top does its contact take?',
    phrase: 'Contact not known',
  },
});
