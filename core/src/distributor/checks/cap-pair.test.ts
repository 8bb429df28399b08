import { toldAs } from '../../testing/told-as.ts';
import { capPair } from './cap-pair.ts';

toldAs(capPair, {
  'halves of one pairing match': {
    is: 'match: pair',
    asked: 'M 12',
    has: 'M 12',
    says: 'It is the rotor’s own half.',
    phrase: 'A pair',
  },
  'halves of two pairings are a caution': {
    is: 'caution: no-pair',
    asked: 'H 3',
    has: 'M 12',
    says: 'The rotor on the slip is of another pairing: tip and contacts may strike or stand apart.',
    toDo: 'Sell both of one pairing, or let the supervisor decide.',
    phrase: 'No pair with the rotor',
  },
  'without the other half it is not asked': {
    is: 'not-asked: not-asked',
    asked: '',
    has: '',
    says: 'No rotor is on the slip yet; the two are sold as a pair.',
    phrase: 'Not asked',
  },
  'an unmarked half beside a marked one is unknown': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: pairing.',
    toDo: 'Read the pairing mark inside the cap.',
    phrase: 'Pairing not known',
  },
});
