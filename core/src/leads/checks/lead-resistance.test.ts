import { toldAs } from '../../testing/told-as.ts';
import { leadResistance } from './lead-resistance.ts';

toldAs(leadResistance, {
  'inside the range, ends included, matches': {
    is: 'match: inside',
    asked: '5.0–16.0 kΩ a metre',
    has: '5.0–16.0 kΩ a metre',
    says: 'Suppressed as asked.',
    phrase: 'Resistance as asked',
  },
  'just above the range is a caution': {
    is: 'caution: too-much',
    asked: '5.0–16.0 kΩ a metre',
    has: '16.1 kΩ a metre',
    says: 'More resistance than asked: the spark is weaker, most of all on the longest lead.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Too much resistance',
  },
  'just below the range is a caution': {
    is: 'caution: too-little',
    asked: '5.0–16.0 kΩ a metre',
    has: '4.9–10.0 kΩ a metre',
    says: 'Less suppression than asked: it may disturb the control unit.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Too little resistance',
  },
  'plain wire where suppression is asked is refused': {
    is: 'refuse: plain-wire',
    asked: '5.0–16.0 kΩ a metre',
    has: '0.0 kΩ a metre',
    says: 'Plain wire where suppression is asked: it disturbs radio and control unit.',
    toDo: 'Sell suppressed leads.',
    phrase: 'Plain wire, no suppression',
  },
  'unpublished it is measured': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: leads of the set.',
    toDo: 'Lay the leads out: measure each, contact to contact, and note its boots.',
    phrase: 'Leads of the set not known',
  },
});
