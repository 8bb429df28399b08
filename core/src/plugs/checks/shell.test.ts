import { toldAs } from '../../testing/told-as.ts';
import { shell } from './shell.ts';

toldAs(shell, {
  'one piece in an engine that seizes the maker’s two-piece plugs is advice where the shop sells the maker’s own': {
    is: 'acceptable: one-for-two',
    asked: 'two-piece',
    has: 'one-piece',
    says: 'One piece where the maker fitted two: it cannot part in the head, but it is not the maker’s own, which the shop sells first.',
    toDo: 'Say so, and let the customer choose.',
    phrase: 'One piece, not the maker’s own',
  },
  'and matches where the shop puts it first': {
    is: 'match: one-piece',
    asked: 'two-piece',
    has: 'one-piece',
    says: 'A one-piece shell.',
    phrase: 'One-piece shell',
  },
  'one piece otherwise matches': {
    is: 'match: one-piece',
    asked: 'two-piece',
    has: 'one-piece',
    says: 'A one-piece shell.',
    phrase: 'One-piece shell',
  },
  'two-piece as fitted matches': {
    is: 'match: as-fitted',
    asked: 'two-piece',
    has: 'two-piece',
    says: 'A two-piece shell, as the maker fitted.',
    toDo: 'Follow the maker’s procedure.',
    phrase: 'Shell as fitted',
  },
  'two-piece as fitted in an engine that seizes them is acceptable': {
    is: 'acceptable: known-to-seize',
    asked: 'two-piece',
    has: 'two-piece',
    says: 'As the maker fitted, but this engine is known to seize two-piece plugs.',
    toDo: 'Show the removal procedure and offer the one-piece alternative.',
    phrase: 'Two-piece: known to seize',
  },
  'two-piece where one piece was fitted is a caution': {
    is: 'caution: two-for-one',
    asked: 'one-piece',
    has: 'two-piece',
    says: 'A two-piece shell where the maker fitted one piece can seize and part in the head.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Two-piece shell',
  },
  'a shell never refuses a plug': {
    is: 'caution: two-for-one',
    asked: 'one-piece',
    has: 'two-piece',
    says: 'A two-piece shell where the maker fitted one piece can seize and part in the head.',
    toDo: 'Let the supervisor decide.',
    phrase: 'Two-piece shell',
  },
  'an unknown shell is asked for': {
    is: 'unknown: missing, open',
    asked: '',
    has: '',
    says: 'Not known: shell.',
    toDo: 'Is the shell one piece, or is a ring pressed on above the hex?',
    phrase: 'Shell not known',
  },
});
