import { defineCheck } from '../../fitment/define-check.ts';
import { judgeRadius } from '../radius-band.ts';

const engine = { 'rotorAsked.tipRadiusMm': 25.2 } as const;
const of = (mm: number) => ({ ...engine, 'rotor.tipRadiusMm': mm });

export const tipRadius = defineCheck({
  id: 'tip-radius',
  title: 'Tip',
  why: 'The tip passes the cap’s contacts by less than a millimetre.',
  source: 'Domain section 5, Cap and rotor',
  needs: ['rotor.tipRadiusMm', 'rotorAsked.tipRadiusMm'],
  mayUse: [],
  canRefuse: () => true,
  judge: (f) => judgeRadius(f['rotor.tipRadiusMm'], f['rotorAsked.tipRadiusMm'], 'larger'),
  explain: ({ caseId, figures: g }, say) => {
    const common = {
      asked: say.quantity('length', g.askedMm),
      has: say.quantity('length', g.hasMm),
      difference: g.differenceMm === 0 ? null : say.signed('length', g.differenceMm),
    };
    switch (caseId) {
      case 'strikes':
        return {
          ...common,
          says: 'Its tip reaches too far: it strikes the cap’s contacts and breaks.',
          toDo: 'Do not fit it.',
          phrase: 'Tip strikes the cap',
        };
      case 'wide':
        return {
          ...common,
          says: 'Its tip ends short: the spark loses voltage on the way to the contacts.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Tip ends short',
        };
      case 'near':
        return {
          ...common,
          says: 'Its tip ends a little elsewhere.',
          toDo: 'Turn the engine by hand once and listen.',
          phrase: 'Tip a little off',
        };
      default:
        return { ...common, says: 'Its tip passes the contacts as it should.', toDo: null, phrase: 'Tip as asked' };
    }
  },
  examples: [
    { says: '0.3 mm off matches', facts: of(24.9), outcome: 'match' },
    { says: '0.5 mm longer is acceptable', facts: of(25.7), outcome: 'acceptable' },
    { says: '0.6 mm longer strikes the cap: refused', facts: of(25.8), outcome: 'refuse', caseId: 'strikes' },
    { says: '0.6 mm shorter is a caution', facts: of(24.6), outcome: 'caution', caseId: 'wide' },
    { says: 'a tip not measured is measured first', facts: engine, outcome: 'unknown' },
  ],
});
