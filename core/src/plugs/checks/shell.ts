import { defineCheck } from '../../fitment/define-check.ts';

const seizes = { 'position.shellFitted': 'two-piece', 'position.seizesTwoPiece': true } as const;

export const shell = defineCheck({
  id: 'shell',
  title: 'Shell',
  why: 'A two-piece shell can seize in the head and part when it is drawn.',
  source: 'Plugs: Shell',
  ruledBy: ['twoPiece'],
  vouchedBy: ['own-number', 'listing'],
  needs: ['plug.shell'],
  mayUse: ['position.shellFitted', 'position.seizesTwoPiece', 'rule.twoPiece'],
  // It never refuses by itself, but where plugs seize an unknown shell is a question nobody may leave open.
  canRefuse: (f) => f['position.seizesTwoPiece'] === true,
  judge: (f) => {
    const fitted = f['position.shellFitted'];
    const figures = { has: f['plug.shell'], fitted: fitted ?? null };
    const seizes = fitted === 'two-piece' && f['position.seizesTwoPiece'] === true;
    if (f['plug.shell'] === 'one-piece') {
      return seizes && f['rule.twoPiece'] === 'makers-own'
        ? { outcome: 'acceptable', caseId: 'one-for-two', figures }
        : { outcome: 'match', caseId: 'one-piece', figures };
    }
    if (fitted === undefined)
      return { outcome: 'unknown', caseId: 'fitted-unknown', figures, missing: ['position.shellFitted'] };
    if (fitted === 'one-piece') return { outcome: 'caution', caseId: 'two-for-one', figures };
    return seizes
      ? { outcome: 'acceptable', caseId: 'known-to-seize', figures }
      : { outcome: 'match', caseId: 'as-fitted', figures };
  },
  explain: ({ caseId, figures: g }) => {
    const common = { asked: g.fitted ?? 'no rule', has: g.has, difference: null };
    switch (caseId) {
      case 'two-for-one':
        return {
          ...common,
          says: 'A two-piece shell where the maker fitted one piece can seize and part in the head.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Two-piece shell',
        };
      case 'one-for-two':
        return {
          ...common,
          says: 'One piece where the maker fitted two: it cannot part in the head, but it is not the maker’s own, which the shop sells first.',
          toDo: 'Say so, and let the customer choose.',
          phrase: 'One piece, not the maker’s own',
        };
      case 'known-to-seize':
        return {
          ...common,
          says: 'As the maker fitted, but this engine is known to seize two-piece plugs.',
          toDo: 'Show the removal procedure and offer the one-piece alternative.',
          phrase: 'Two-piece: known to seize',
        };
      case 'fitted-unknown':
        return {
          ...common,
          says: 'It is a two-piece shell, and what the maker fitted is not known.',
          toDo: 'Look up which shell the maker fitted.',
          phrase: 'Shell as fitted not known',
        };
      case 'as-fitted':
        return {
          ...common,
          says: 'A two-piece shell, as the maker fitted.',
          toDo: 'Follow the maker’s procedure.',
          phrase: 'Shell as fitted',
        };
      default:
        return { ...common, says: 'A one-piece shell.', toDo: null, phrase: 'One-piece shell' };
    }
  },
  examples: [
    {
      says: 'one piece in an engine that seizes the maker’s two-piece plugs is advice where the shop sells the maker’s own',
      facts: { ...seizes, 'plug.shell': 'one-piece', 'rule.twoPiece': 'makers-own' },
      outcome: 'acceptable',
      caseId: 'one-for-two',
    },
    {
      says: 'and matches where the shop puts it first',
      facts: { ...seizes, 'plug.shell': 'one-piece', 'rule.twoPiece': 'one-piece-first' },
      outcome: 'match',
    },
    { says: 'one piece otherwise matches', facts: { ...seizes, 'plug.shell': 'one-piece' }, outcome: 'match' },
    {
      says: 'two-piece as fitted matches',
      facts: { 'plug.shell': 'two-piece', 'position.shellFitted': 'two-piece' },
      outcome: 'match',
      caseId: 'as-fitted',
    },
    {
      says: 'two-piece as fitted in an engine that seizes them is acceptable',
      facts: { ...seizes, 'plug.shell': 'two-piece' },
      outcome: 'acceptable',
    },
    {
      says: 'two-piece where one piece was fitted is a caution',
      facts: { 'plug.shell': 'two-piece', 'position.shellFitted': 'one-piece' },
      outcome: 'caution',
    },
    {
      says: 'a shell never refuses a plug',
      facts: { 'plug.shell': 'two-piece', 'position.shellFitted': 'one-piece', 'position.seizesTwoPiece': true },
      outcome: 'caution',
    },
    { says: 'an unknown shell is asked for', facts: seizes, outcome: 'unknown' },
  ],
});
