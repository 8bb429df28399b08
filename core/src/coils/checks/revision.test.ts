import { toldAs } from '../../testing/told-as.ts';
import { revision } from './revision.ts';

toldAs(
  revision,
  {
    'its own revision matches': {
      is: 'match: own',
      asked: 'A or B',
      has: 'A',
      says: 'The revision this build was made with.',
      phrase: 'Revision A',
    },
    'a later one that may follow is acceptable, all together': {
      is: 'acceptable: all-together',
      asked: 'A or B',
      has: 'B',
      says: 'The maker lets revision B follow A, if all coils of the engine are changed together.',
      toDo: 'Sell the whole set, and say that none of the old ones stays in.',
      phrase: 'Revision B: all together or none',
    },
    'beside another revision that stays it is a caution': {
      is: 'caution: mixed',
      asked: 'A or B',
      has: 'B',
      says: 'Revision B beside revision A: they charge differently, and the engine shakes and sets codes.',
      toDo: 'Sell revision A, or all of the engine in revision B.',
      phrase: 'Would mix B with A',
    },
    'even its own revision is a caution beside another that stays': {
      is: 'caution: mixed',
      asked: 'A or B',
      has: 'A',
      says: 'Revision A beside revision B: they charge differently, and the engine shakes and sets codes.',
      toDo: 'Sell revision B, or all of the engine in revision A.',
      phrase: 'Would mix A with B',
    },
    'a revision for another build is a caution': {
      is: 'caution: other-build',
      asked: 'B',
      has: 'A',
      says: 'Revision A is for another build than this one.',
      toDo: 'Read the build date again, or let the supervisor decide.',
      phrase: 'Revision A is for another build',
    },
    'an unread revision is read first': {
      is: 'unknown: missing, not open',
      asked: '',
      has: '',
      says: 'Not known: revision.',
      toDo: 'Read the revision letter on the coil’s label.',
      phrase: 'Revision not known',
    },
    'where the maker knows one alone it is not asked': {
      is: 'not-asked: not-asked',
      asked: '',
      has: '',
      says: 'The engine maker knows one revision alone.',
      phrase: 'Not asked',
    },
  },
  {
    'where the maker lets revisions stand side by side, a later one is as good as the first': [
      { 'coil.revision': 'B', 'coilAsked.revisions': ['A', 'B'], 'coilAsked.oneRevision': false },
      {
        is: 'match: side-by-side',
        asked: 'A or B',
        has: 'B',
        says: 'The maker lets revision B stand beside A.',
        phrase: 'Revision B',
      },
    ],
    'and beside another that stays': [
      {
        'coil.revision': 'B',
        'coilAsked.revisions': ['A', 'B'],
        'coilAsked.oneRevision': false,
        'job.revisionStaying': 'A',
      },
      {
        is: 'match: side-by-side',
        asked: 'A or B',
        has: 'B',
        says: 'The maker lets revision B stand beside A.',
        phrase: 'Revision B',
      },
    ],
    'beside its like that stays it mixes nothing': [
      {
        'coil.revision': 'A',
        'coilAsked.revisions': ['A', 'B'],
        'coilAsked.oneRevision': true,
        'job.revisionStaying': 'A',
      },
      {
        is: 'match: own',
        asked: 'A or B',
        has: 'A',
        says: 'The revision this build was made with.',
        phrase: 'Revision A',
      },
    ],
  },
);
