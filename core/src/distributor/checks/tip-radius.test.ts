import { toldAs } from '../../testing/told-as.ts';
import { tipRadius } from './tip-radius.ts';

toldAs(tipRadius, {
  '0.3 mm off matches': {
    is: 'match: same, 1',
    asked: '25.2 mm',
    has: '24.9 mm',
    difference: '−0.3 mm',
    says: 'Its tip passes the contacts as it should.',
    phrase: 'Tip as asked',
  },
  '0.35 mm shorter is acceptable': {
    is: 'acceptable: near, 1.1667',
    asked: '25.2 mm',
    has: '24.9 mm',
    difference: '−0.4 mm',
    says: 'Its tip ends a little elsewhere.',
    toDo: 'Turn the engine by hand once and listen.',
    phrase: 'Tip a little off',
  },
  '0.5 mm longer is acceptable': {
    is: 'acceptable: near, 1.6667',
    asked: '25.2 mm',
    has: '25.7 mm',
    difference: '+0.5 mm',
    says: 'Its tip ends a little elsewhere.',
    toDo: 'Turn the engine by hand once and listen.',
    phrase: 'Tip a little off',
  },
  '0.6 mm longer strikes the cap: refused': {
    is: 'refuse: strikes, 2',
    asked: '25.2 mm',
    has: '25.8 mm',
    difference: '+0.6 mm',
    says: 'Its tip reaches too far: it strikes the cap’s contacts and breaks.',
    toDo: 'Do not fit it.',
    phrase: 'Tip strikes the cap',
  },
  '0.6 mm shorter is a caution': {
    is: 'caution: wide, 2',
    asked: '25.2 mm',
    has: '24.6 mm',
    difference: '−0.6 mm',
    says: 'Its tip ends short: the spark loses voltage on the way to the contacts.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Tip ends short',
  },
  'a tip not measured is measured first': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: tip radius.',
    toDo: 'Measure from the shaft’s centre to the tip, in mm.',
    phrase: 'Tip radius not known',
  },
});
