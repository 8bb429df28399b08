import { defineCheck } from '../../fitment/define-check.ts';

const engine = { 'coilAsked.sparkPolarity': 'negative' } as const;

export const sparkPolarity = defineCheck({
  id: 'spark-polarity',
  title: 'Spark',
  why: 'A spark that leaves the cold ground electrode asks about 15% more voltage and wears the other electrode.',
  source: 'Coils: Spark polarity',
  vouchedBy: ['own-number', 'listing'],
  needs: ['coil.sparkPolarity', 'coilAsked.sparkPolarity'],
  canRefuse: () => false,
  judge: (f) => {
    const figures = { has: f['coil.sparkPolarity'], asked: f['coilAsked.sparkPolarity'] };
    return figures.has === figures.asked
      ? { outcome: 'match', caseId: 'same', figures }
      : { outcome: 'caution', caseId: 'other', figures };
  },
  explain: ({ outcome, figures: g }) => ({
    asked: g.asked,
    has: g.has,
    difference: null,
    says:
      outcome === 'match'
        ? 'Its spark runs the way the engine was designed for.'
        : 'Its spark runs the other way: it asks about 15% more voltage and wears the other electrode.',
    toDo: outcome === 'match' ? null : 'Let the supervisor decide.',
    phrase: outcome === 'match' ? 'Spark as asked' : 'Spark runs the other way',
  }),
  examples: [
    { says: 'negative for negative matches', facts: { ...engine, 'coil.sparkPolarity': 'negative' }, outcome: 'match' },
    { says: 'the other way is a caution', facts: { ...engine, 'coil.sparkPolarity': 'positive' }, outcome: 'caution' },
    { says: 'unpublished it is unknown', facts: engine, outcome: 'unknown' },
  ],
});
