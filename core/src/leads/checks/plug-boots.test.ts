import { toldAs } from '../../testing/told-as.ts';
import { plugBoots } from './plug-boots.ts';

toldAs(plugBoots, {
  'a bent boot where one is needed and a straight one elsewhere match': {
    is: 'match: clear',
    asked: 'boots that clear',
    has: 'straight, 90°',
    says: 'Every route has a boot that clears what stands around the plug.',
    phrase: 'Boots clear',
  },
  'straight boots alone do not clear the manifold: refused': {
    is: 'refuse: bears',
    asked: '90° or 135°',
    has: 'straight',
    says: 'No boot is left that clears cylinder 1: it bears on hot metal and burns through.',
    toDo: 'Do not fit it.',
    phrase: 'Boot does not clear cylinder 1',
  },
  'the only bent boot on a lead too short for the manifold’s side is refused': {
    is: 'refuse: bears',
    asked: '90° or 135°',
    has: 'straight, 90°',
    says: 'No boot is left that clears cylinder 1: it bears on hot metal and burns through.',
    toDo: 'Do not fit it.',
    phrase: 'Boot does not clear cylinder 1',
  },
  'boots not seen are looked at first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: leads of the set.',
    toDo: 'Lay the leads out: measure each, contact to contact, and note its boots.',
    phrase: 'Leads of the set not known',
  },
});
