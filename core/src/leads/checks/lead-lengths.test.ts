import { toldAs } from '../../testing/told-as.ts';
import { leadLengths } from './lead-lengths.ts';

toldAs(leadLengths, {
  'leads 0 and 80 mm longer than their routes match': {
    is: 'match: reach, 1',
    asked: 'slack to 80 mm',
    has: 'at most 80 mm',
    says: 'Every lead reaches without being stretched and without hanging.',
    phrase: 'Lengths as asked',
  },
  'a lead 81 mm longer hangs: a caution': {
    is: 'caution: too-long',
    asked: 'slack to 80 mm',
    has: '81 mm',
    says: 'The lead for cylinder 2 has 81 mm to spare and hangs on hot or moving parts.',
    toDo: 'Let the supervisor decide; it must be clipped away.',
    phrase: 'Too long for cylinder 2',
  },
  'a lead 1 mm short of its route is refused': {
    is: 'refuse: too-short',
    asked: 'cylinder 2 500 mm',
    has: '499 mm',
    difference: '−1 mm',
    says: 'Nothing in the set reaches cylinder 2, 500 mm away: stretched, it pulls off while driving.',
    toDo: 'Do not fit it.',
    phrase: 'Too short for cylinder 2',
  },
  'an engine with little room allows less slack': {
    is: 'caution: too-long',
    asked: 'slack to 30 mm',
    has: '40 mm',
    says: 'The lead for cylinder 2 has 40 mm to spare and hangs on hot or moving parts.',
    toDo: 'Let the supervisor decide; it must be clipped away.',
    phrase: 'Too long for cylinder 2',
  },
  'with one lead missing the others are judged': {
    is: 'match: reach, 0.25',
    asked: 'slack to 80 mm',
    has: 'at most 20 mm',
    says: 'Every lead reaches without being stretched and without hanging.',
    phrase: 'Lengths as asked',
  },
  'an unmeasured set is laid out first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: leads of the set.',
    toDo: 'Lay the leads out: measure each, contact to contact, and note its boots.',
    phrase: 'Leads of the set not known',
  },
});
