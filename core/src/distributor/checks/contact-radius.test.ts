import { toldAs } from '../../testing/told-as.ts';
import { contactRadius } from './contact-radius.ts';

toldAs(contactRadius, {
  '0.3 mm off matches': {
    is: 'match: same, 1',
    asked: '26.0 mm',
    has: '26.3 mm',
    difference: '+0.3 mm',
    says: 'Its contacts stand where the rotor’s tip passes.',
    phrase: 'Contacts as asked',
  },
  '0.35 mm off is acceptable': {
    is: 'acceptable: near, 1.1667',
    asked: '26.0 mm',
    has: '26.4 mm',
    difference: '+0.4 mm',
    says: 'Its contacts stand a little elsewhere.',
    toDo: 'Turn the engine by hand once and listen.',
    phrase: 'Contacts a little off',
  },
  '0.5 mm off is acceptable': {
    is: 'acceptable: near, 1.6667',
    asked: '26.0 mm',
    has: '25.5 mm',
    difference: '−0.5 mm',
    says: 'Its contacts stand a little elsewhere.',
    toDo: 'Turn the engine by hand once and listen.',
    phrase: 'Contacts a little off',
  },
  '0.6 mm further in is struck by the rotor: refused': {
    is: 'refuse: strikes, 2',
    asked: '26.0 mm',
    has: '25.4 mm',
    difference: '−0.6 mm',
    says: 'Its contacts stand too far in: the rotor strikes them and breaks.',
    toDo: 'Do not fit it.',
    phrase: 'Rotor strikes the contacts',
  },
  '0.6 mm further out is a caution': {
    is: 'caution: wide, 2',
    asked: '26.0 mm',
    has: '26.6 mm',
    difference: '+0.6 mm',
    says: 'Its contacts stand far out: the spark loses voltage on the way to them.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Contacts far from the tip',
  },
  'contacts not measured are measured first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: contact radius.',
    toDo: 'Measure from the centre to a contact inside, in mm.',
    phrase: 'Contact radius not known',
  },
});
