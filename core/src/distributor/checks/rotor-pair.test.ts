import { toldAs } from '../../testing/told-as.ts';
import { rotorPair } from './rotor-pair.ts';

toldAs(rotorPair, {
  'halves of one pairing match': {
    is: 'match: pair',
    asked: 'M 12',
    has: 'M 12',
    says: 'It is the cap’s own half.',
    phrase: 'A pair',
  },
  'halves of two pairings are a caution': {
    is: 'caution: no-pair',
    asked: 'H 3',
    has: 'M 12',
    says: 'The cap on the slip is of another pairing: tip and contacts may strike or stand apart.',
    toDo: 'Sell both of one pairing, or let the supervisor decide.',
    phrase: 'No pair with the cap',
  },
  'without the other half it is not asked': {
    is: 'not-asked: not-asked',
    asked: '',
    has: '',
    says: 'No cap is on the slip yet; the two are sold as a pair.',
    phrase: 'Not asked',
  },
  'an unmarked half beside a marked one is unknown': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: pairing.',
    toDo: 'Read the pairing mark on the rotor.',
    phrase: 'Pairing not known',
  },
});
