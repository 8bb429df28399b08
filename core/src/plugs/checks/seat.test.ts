import { toldAs } from '../../testing/told-as.ts';
import { seat } from './seat.ts';

toldAs(seat, {
  'a fixed gasket in a gasket head matches': {
    is: 'match: same',
    asked: 'gasket',
    has: 'gasket',
    says: 'A gasket seat, as the head is cut.',
    phrase: 'Same seat',
  },
  'a loose gasket is still a gasket': {
    is: 'match: same',
    asked: 'gasket',
    has: 'gasket',
    says: 'A gasket seat, as the head is cut.',
    phrase: 'Same seat',
  },
  'a taper in a taper head matches': {
    is: 'match: same',
    asked: 'taper',
    has: 'taper',
    says: 'A taper seat, as the head is cut.',
    phrase: 'Same seat',
  },
  'a taper plug in a gasket head is refused': {
    is: 'refuse: taper-in-gasket',
    asked: 'gasket',
    has: 'taper',
    says: 'A cone on a flat spot face seals on a line at best: it leaks, overheats and works loose.',
    toDo: 'Sell a gasket-seat plug; the seat cannot be made up with a washer.',
    phrase: 'Taper seat in a gasket head',
  },
  'a gasket plug in a taper head is refused': {
    is: 'refuse: gasket-in-taper',
    asked: 'taper',
    has: 'gasket',
    says: 'A gasket cannot seal in a cone: it leaks, overheats and stands proud of its depth.',
    toDo: 'Sell a taper-seat plug; the seat cannot be made up with a washer.',
    phrase: 'Gasket seat in a taper head',
  },
  'an unknown seat is asked for': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: seat.',
    toDo: 'Look under the hex: flat with a gasket, or a cone?',
    phrase: 'Seat not known',
  },
});
