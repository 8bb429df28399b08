import { toldAs } from '../../testing/told-as.ts';
import { leadCount } from './lead-count.ts';

toldAs(leadCount, {
  'as many leads as routes match': {
    is: 'match: same',
    asked: '2 leads',
    has: '2 leads',
    says: 'One lead for each route.',
    phrase: 'All leads there',
  },
  'one lead short is refused': {
    is: 'refuse: short',
    asked: '2 leads',
    has: '1 lead',
    says: 'The set is 1 lead short: cylinder 1 stays without.',
    toDo: 'Sell a whole set, or the missing lead with it.',
    phrase: '1 lead short',
  },
  'one lead left over is acceptable': {
    is: 'acceptable: over',
    asked: '2 leads',
    has: '3 leads',
    says: '1 lead more than this engine needs.',
    toDo: 'Say which one stays in the box, so that nobody looks for its place.',
    phrase: '1 lead left over',
  },
  'a coil lead is no lead for a cylinder': {
    is: 'refuse: short',
    asked: '2 leads',
    has: '2 leads',
    says: 'The set is 1 lead short: cylinder 2 stays without.',
    toDo: 'Sell a whole set, or the missing lead with it.',
    phrase: '1 lead short',
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
