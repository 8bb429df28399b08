import { defineCheck, type Check } from './define-check.ts';

/** The same question of every kind of part: can it be had, and may it leave the counter? */
export function supplyCheck(
  fact: 'plug.supply' | 'coil.supply' | 'leads.supply' | 'cap.supply' | 'rotor.supply',
): Check {
  return defineCheck({
    id: 'supply',
    title: 'Supply',
    why: 'A number out of supply cannot be promised, and a quarantined batch must not leave the counter.',
    source: 'Plugs: Supply',
    vouchedBy: [],
    needs: [fact],
    canRefuse: () => false,
    judge: (f) => {
      const { state, successor } = f[fact];
      const figures = { state, successor: successor ?? null };
      if (state === 'quarantined') return { outcome: 'refuse', caseId: 'quarantined', figures };
      if (state === 'active') return { outcome: 'match', caseId: 'active', figures };
      return { outcome: 'acceptable', caseId: state, figures };
    },
    explain: ({ caseId, figures: g }) => {
      const common = { asked: 'active', has: g.state, difference: null };
      switch (caseId) {
        case 'quarantined':
          return {
            ...common,
            says: 'Its batch is held in quarantine until a supervisor has settled it.',
            toDo: 'Do not sell from it.',
            phrase: 'Batch in quarantine',
          };
        case 'superseded':
          return {
            ...common,
            says: `The maker has replaced it${g.successor ? ` by ${g.successor}` : ''}.`,
            toDo: g.successor ? `Offer ${g.successor}.` : 'Ask what replaced it.',
            phrase: g.successor ? `Superseded by ${g.successor}` : 'Superseded',
          };
        case 'discontinued':
          return {
            ...common,
            says: 'No longer made; what is on the shelf is identical.',
            toDo: 'Say that it cannot be ordered again.',
            phrase: 'Discontinued, old stock',
          };
        default:
          return { ...common, says: 'In supply.', toDo: null, phrase: 'In supply' };
      }
    },
    examples: [
      { says: 'an active number matches', facts: { [fact]: { state: 'active' } }, outcome: 'match' },
      {
        says: 'a superseded number is acceptable and names its successor',
        facts: { [fact]: { state: 'superseded', successor: 'EX 2' } },
        outcome: 'acceptable',
        caseId: 'superseded',
      },
      {
        says: 'a discontinued number is acceptable',
        facts: { [fact]: { state: 'discontinued' } },
        outcome: 'acceptable',
      },
      { says: 'a quarantined batch is refused', facts: { [fact]: { state: 'quarantined' } }, outcome: 'refuse' },
      { says: 'unknown supply is advice at most', facts: {}, outcome: 'unknown' },
    ],
  });
}
