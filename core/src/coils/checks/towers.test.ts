import { toldAs } from '../../testing/told-as.ts';
import { towers } from './towers.ts';

toldAs(
  towers,
  {
    'four towers where four are asked match': {
      is: 'match: same',
      asked: '4',
      has: '4',
      says: 'As many outlets as plugs that it must serve.',
      phrase: 'Towers as asked',
    },
    'a two-tower pack where four are asked is refused': {
      is: 'refuse: other',
      asked: '4',
      has: '2',
      says: 'With another number of outlets a cylinder stays without spark, or an open tower arcs and kills the coil.',
      toDo: 'Do not fit it.',
      phrase: '2 towers where 4 are asked',
    },
    'uncounted towers are counted first': {
      is: 'unknown: missing, open',
      asked: '',
      has: '',
      says: 'Not known: towers.',
      toDo: 'Count the high-voltage outlets.',
      phrase: 'Towers not known',
    },
  },
  {
    'one tower of a can in a pack’s place': [
      { 'coil.towersCount': 1, 'coilAsked.towersCount': 4 },
      {
        is: 'refuse: other',
        asked: '4',
        has: '1',
        says: 'With another number of outlets a cylinder stays without spark, or an open tower arcs and kills the coil.',
        toDo: 'Do not fit it.',
        phrase: '1 tower where 4 are asked',
      },
    ],
  },
);
