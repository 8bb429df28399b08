import { defineCheck } from '../../fitment/define-check.ts';

const early = { 'coilAsked.revisions': ['A', 'B'], 'coilAsked.oneRevision': true } as const;

export const revision = defineCheck({
  id: 'revision',
  title: 'Revision',
  why: 'Coils of two revisions charge differently; side by side in one engine they make it shake and set codes.',
  source: 'Coils: Revision',
  vouchedBy: [],
  startsGroup: true,
  needs: ['coil.revision', 'coilAsked.revisions'],
  mayUse: ['coilAsked.oneRevision', 'job.revisionStaying'],
  notAsked: (f) => (f['coilAsked.revisions'] === undefined ? 'The engine maker knows one revision alone.' : undefined),
  canRefuse: () => false,
  judge: (f) => {
    const has = f['coil.revision'];
    const permitted = f['coilAsked.revisions'];
    const staying = f['job.revisionStaying'] ?? 'none';
    const figures = { has, own: permitted[0] ?? '', permitted: [...permitted], staying };
    if (staying !== 'none' && staying !== has && f['coilAsked.oneRevision'] !== false)
      return { outcome: 'caution', caseId: 'mixed', figures };
    if (!permitted.includes(has)) return { outcome: 'caution', caseId: 'other-build', figures };
    if (has === permitted[0]) return { outcome: 'match', caseId: 'own', figures };
    return f['coilAsked.oneRevision'] === false
      ? { outcome: 'match', caseId: 'side-by-side', figures }
      : { outcome: 'acceptable', caseId: 'all-together', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const common = { asked: g.permitted.join(' or '), has: g.has, difference: null };
    switch (caseId) {
      case 'mixed':
        return {
          ...common,
          says: `Revision ${g.has} beside revision ${g.staying}: they charge differently, and the engine shakes and sets codes.`,
          toDo: `Sell revision ${g.staying}, or all of the engine in revision ${g.has}.`,
          phrase: `Would mix ${g.has} with ${g.staying}`,
        };
      case 'other-build':
        return {
          ...common,
          says: `Revision ${g.has} is for another build than this one.`,
          toDo: 'Read the build date again, or let the supervisor decide.',
          phrase: `Revision ${g.has} is for another build`,
        };
      case 'all-together':
        return {
          ...common,
          says: `The maker lets revision ${g.has} follow ${g.own}, if all coils of the engine are changed together.`,
          toDo: 'Sell the whole set, and say that none of the old ones stays in.',
          phrase: `Revision ${g.has}: all together or none`,
        };
      case 'side-by-side':
        return {
          ...common,
          says: `The maker lets revision ${g.has} stand beside ${g.own}.`,
          toDo: null,
          phrase: `Revision ${g.has}`,
        };
      default:
        return { ...common, says: 'The revision this build was made with.', toDo: null, phrase: `Revision ${g.has}` };
    }
  },
  examples: [
    { says: 'its own revision matches', facts: { ...early, 'coil.revision': 'A' }, outcome: 'match' },
    {
      says: 'a later one that may follow is acceptable, all together',
      facts: { ...early, 'coil.revision': 'B' },
      outcome: 'acceptable',
      caseId: 'all-together',
    },
    {
      says: 'beside another revision that stays it is a caution',
      facts: { ...early, 'coil.revision': 'B', 'job.revisionStaying': 'A' },
      outcome: 'caution',
      caseId: 'mixed',
    },
    {
      says: 'even its own revision is a caution beside another that stays',
      facts: { ...early, 'coil.revision': 'A', 'job.revisionStaying': 'B' },
      outcome: 'caution',
      caseId: 'mixed',
    },
    {
      says: 'a revision for another build is a caution',
      facts: { ...early, 'coilAsked.revisions': ['B'], 'coil.revision': 'A' },
      outcome: 'caution',
      caseId: 'other-build',
    },
    { says: 'an unread revision is read first', facts: early, outcome: 'unknown' },
    { says: 'where the maker knows one alone it is not asked', facts: { 'coil.revision': 'A' }, outcome: 'not-asked' },
  ],
});
