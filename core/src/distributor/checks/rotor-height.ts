import { defineCheck } from '../../fitment/define-check.ts';
import { within } from '../../fitment/tolerance.ts';

/** What the spring of the centre contact takes up. Our own default, said so in docs/decisions.md. */
const MATCH_MM = 1;
const CAUTION_MM = 2;

const engine = { 'rotorAsked.heightMm': 38 } as const;
const of = (mm: number) => ({ ...engine, 'rotor.heightMm': mm });

export const rotorHeight = defineCheck({
  id: 'rotor-height',
  title: 'Height',
  why: 'The cap’s spring must press on the rotor; too low it arcs there, too high it is bent.',
  source: 'Cap and rotor: Rotor',
  needs: ['rotor.heightMm', 'rotorAsked.heightMm'],
  judge: (f) => {
    const [hasMm, askedMm] = [f['rotor.heightMm'], f['rotorAsked.heightMm']];
    const differenceMm = Number((hasMm - askedMm).toFixed(6));
    const size = Math.abs(differenceMm);
    const figures = { hasMm, askedMm, differenceMm };
    const closeness = size / MATCH_MM;
    if (within(size, MATCH_MM)) return { outcome: 'match', caseId: 'same', figures, closeness };
    const caseId = differenceMm < 0 ? 'lower' : 'higher';
    return { outcome: within(size, CAUTION_MM) ? 'caution' : 'refuse', caseId, figures, closeness };
  },
  explain: ({ caseId, outcome, figures: g }, say) => {
    const common = {
      asked: say.quantity('length', g.askedMm),
      has: say.quantity('length', g.hasMm),
      difference: g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
    };
    if (caseId === 'same')
      return { ...common, says: 'The cap’s spring presses on it.', toDo: null, phrase: 'Height as asked' };
    const by = say.quantity('length', Math.abs(g.differenceMm));
    return {
      ...common,
      says:
        caseId === 'lower' ? 'The spring hardly touches it, and arcs there.' : 'It bends the spring or lifts the cap.',
      toDo: outcome === 'refuse' ? 'Do not fit it.' : 'Let the supervisor decide.',
      phrase: `${by} too ${caseId === 'lower' ? 'low' : 'high'}`,
    };
  },
  examples: [
    { says: '1 mm off matches', facts: of(39), outcome: 'match' },
    { says: '1.1 mm higher is a caution', facts: of(39.1), outcome: 'caution', caseId: 'higher' },
    { says: '2 mm lower is a caution', facts: of(36), outcome: 'caution', caseId: 'lower' },
    { says: '2.1 mm lower is refused', facts: of(35.9), outcome: 'refuse', caseId: 'lower' },
    { says: '2.1 mm higher is refused', facts: of(40.1), outcome: 'refuse', caseId: 'higher' },
    { says: 'a height not measured is measured first', facts: engine, outcome: 'unknown' },
  ],
});
