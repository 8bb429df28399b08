import { defineCheck } from '../../fitment/define-check.ts';
import { judgeRadius } from '../radius-band.ts';

const engine = { 'capAsked.contactRadiusMm': 26 } as const;
const of = (mm: number) => ({ ...engine, 'cap.contactRadiusMm': mm });

export const contactRadius = defineCheck({
  id: 'contact-radius',
  title: 'Contacts',
  why: 'The spark jumps from the rotor’s tip to the contact: too near and they strike, too far and voltage is lost.',
  source: 'Domain section 5, Cap and rotor',
  needs: ['cap.contactRadiusMm', 'capAsked.contactRadiusMm'],
  mayUse: [],
  canRefuse: () => true,
  judge: (f) => judgeRadius(f['cap.contactRadiusMm'], f['capAsked.contactRadiusMm'], 'smaller'),
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
          says: 'Its contacts stand too far in: the rotor strikes them and breaks.',
          toDo: 'Do not fit it.',
          phrase: 'Rotor strikes the contacts',
        };
      case 'wide':
        return {
          ...common,
          says: 'Its contacts stand far out: the spark loses voltage on the way to them.',
          toDo: 'Let the supervisor decide.',
          phrase: 'Contacts far from the tip',
        };
      case 'near':
        return {
          ...common,
          says: 'Its contacts stand a little elsewhere.',
          toDo: 'Turn the engine by hand once and listen.',
          phrase: 'Contacts a little off',
        };
      default:
        return {
          ...common,
          says: 'Its contacts stand where the rotor’s tip passes.',
          toDo: null,
          phrase: 'Contacts as asked',
        };
    }
  },
  examples: [
    { says: '0.3 mm off matches', facts: of(26.3), outcome: 'match' },
    { says: '0.5 mm off is acceptable', facts: of(25.5), outcome: 'acceptable' },
    {
      says: '0.6 mm further in is struck by the rotor: refused',
      facts: of(25.4),
      outcome: 'refuse',
      caseId: 'strikes',
    },
    { says: '0.6 mm further out is a caution', facts: of(26.6), outcome: 'caution', caseId: 'wide' },
    { says: 'contacts not measured are measured first', facts: engine, outcome: 'unknown' },
  ],
});
