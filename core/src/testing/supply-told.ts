import type { Told } from './told-as.ts';

/** What is said of supply at the counter: the same of every kind of part. */
export const SUPPLY_TOLD: Readonly<Record<string, Told>> = {
  'an active number matches': {
    is: 'match: active',
    asked: 'active',
    has: 'active',
    says: 'In supply.',
    phrase: 'In supply',
  },
  'a superseded number is acceptable and names its successor': {
    is: 'acceptable: superseded',
    asked: 'active',
    has: 'superseded',
    says: 'The maker has replaced it by EX 2.',
    toDo: 'Offer EX 2.',
    phrase: 'Superseded by EX 2',
  },
  'a discontinued number is acceptable': {
    is: 'acceptable: discontinued',
    asked: 'active',
    has: 'discontinued',
    says: 'No longer made; what is on the shelf is identical.',
    toDo: 'Say that it cannot be ordered again.',
    phrase: 'Discontinued, old stock',
  },
  'a quarantined batch is refused': {
    is: 'refuse: quarantined',
    asked: 'active',
    has: 'quarantined',
    says: 'Its batch is held in quarantine until a supervisor has settled it.',
    toDo: 'Do not sell from it.',
    phrase: 'Batch in quarantine',
  },
  'unknown supply is advice at most': {
    is: 'unknown: missing, not open',
    asked: '',
    has: '',
    says: 'Not known: supply.',
    toDo: 'Ask the maker or wholesaler whether it is still supplied.',
    phrase: 'Supply not known',
  },
};
