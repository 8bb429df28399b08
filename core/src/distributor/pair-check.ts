import { defineCheck, type Check } from '../fitment/define-check.ts';

/** Cap and rotor are matched as a pair. Cap and rotor: Pair. */
export function pairCheck(own: 'cap.family' | 'rotor.family', other: 'rotor' | 'cap'): Check {
  return defineCheck({
    id: 'pair',
    title: 'Pair',
    why: 'Cap and rotor wear in together and are gauged to each other: a new half runs badly against a worn one.',
    source: 'Cap and rotor: Pair',
    vouchedBy: [],
    startsGroup: true,
    needs: [own],
    mayUse: ['job.otherHalfFamily'],
    notAsked: (f) =>
      f['job.otherHalfFamily'] === undefined
        ? `No ${other} is on the slip yet; the two are sold as a pair.`
        : undefined,
    canRefuse: () => false,
    judge: (f) => {
      const figures = { own: f[own], other: f['job.otherHalfFamily']! };
      return figures.own === figures.other
        ? { outcome: 'match', caseId: 'pair', figures }
        : { outcome: 'caution', caseId: 'no-pair', figures };
    },
    explain: ({ outcome, figures: g }) => ({
      asked: g.other,
      has: g.own,
      difference: null,
      says:
        outcome === 'match'
          ? `It is the ${other}’s own half.`
          : `The ${other} on the slip is of another pairing: tip and contacts may strike or stand apart.`,
      toDo: outcome === 'match' ? null : `Sell both of one pairing, or let the supervisor decide.`,
      phrase: outcome === 'match' ? 'A pair' : `No pair with the ${other}`,
    }),
    examples: [
      {
        says: 'halves of one pairing match',
        facts: { [own]: 'M 12', 'job.otherHalfFamily': 'M 12' },
        outcome: 'match',
      },
      {
        says: 'halves of two pairings are a caution',
        facts: { [own]: 'M 12', 'job.otherHalfFamily': 'H 3' },
        outcome: 'caution',
      },
      { says: 'without the other half it is not asked', facts: { [own]: 'M 12' }, outcome: 'not-asked' },
      {
        says: 'an unmarked half beside a marked one is unknown',
        facts: { 'job.otherHalfFamily': 'H 3' },
        outcome: 'unknown',
      },
    ],
  });
}
