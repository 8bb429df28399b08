import { defineCheck } from '../../fitment/define-check.ts';
import { inside } from '../../fitment/tolerance.ts';

const engine = { 'rotorAsked.resistanceKohm': { low: 4, high: 6 } } as const;
const of = (kohm: number) => ({ ...engine, 'rotor.resistanceKohm': kohm });

export const rotorResistance = defineCheck({
  id: 'rotor-resistance',
  title: 'Resistance',
  why: 'Suppression is shared out over rotor, leads and plugs; none in the rotor disturbs, too much weakens.',
  source: 'Cap and rotor: Rotor',
  vouchedBy: ['own-number', 'listing'],
  needs: ['rotor.resistanceKohm', 'rotorAsked.resistanceKohm'],
  canRefuse: () => false,
  judge: (f) => {
    const asked = f['rotorAsked.resistanceKohm'];
    const kohm = f['rotor.resistanceKohm'];
    const figures = { kohm, lowKohm: asked.low, highKohm: asked.high };
    return inside(kohm, asked)
      ? { outcome: 'match', caseId: 'inside', figures }
      : { outcome: 'caution', caseId: kohm < asked.low ? 'too-little' : 'too-much', figures };
  },
  explain: ({ outcome, figures: g }, say) => ({
    asked: say.span('plug-resistor', { low: g.lowKohm * 1000, high: g.highKohm * 1000 }),
    has: say.quantity('plug-resistor', g.kohm * 1000),
    difference: null,
    says:
      outcome === 'match'
        ? 'Suppressed as asked.'
        : 'Another resistance than asked: it disturbs, or weakens the spark.',
    toDo: outcome === 'match' ? null : 'Let the supervisor decide.',
    phrase: outcome === 'match' ? 'Resistance as asked' : 'Another resistance',
  }),
  examples: [
    { says: 'inside the range matches', facts: of(6), outcome: 'match' },
    { says: 'outside it is a caution', facts: of(6.1), outcome: 'caution' },
    { says: 'unpublished it is measured', facts: engine, outcome: 'unknown' },
  ],
});
