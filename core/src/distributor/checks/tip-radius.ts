import { radiusCheck } from '../radius-check.ts';

const engine = { 'rotorAsked.tipRadiusMm': 25.2 } as const;
const of = (mm: number) => ({ ...engine, 'rotor.tipRadiusMm': mm });

export const tipRadius = radiusCheck({
  id: 'tip-radius',
  title: 'Tip',
  why: 'The tip passes the cap’s contacts by less than a millimetre.',
  has: 'rotor.tipRadiusMm',
  asked: 'rotorAsked.tipRadiusMm',
  strikesWhen: 'larger',
  words: {
    strikes: ['Its tip reaches too far: it strikes the cap’s contacts and breaks.', 'Tip strikes the cap'],
    wide: ['Its tip ends short: the spark loses voltage on the way to the contacts.', 'Tip ends short'],
    near: ['Its tip ends a little elsewhere.', 'Tip a little off'],
    same: ['Its tip passes the contacts as it should.', 'Tip as asked'],
  },
  examples: [
    { says: '0.3 mm off matches', facts: of(24.9), outcome: 'match' },
    { says: '0.35 mm shorter is acceptable', facts: of(24.85), outcome: 'acceptable' },
    { says: '0.5 mm longer is acceptable', facts: of(25.7), outcome: 'acceptable' },
    { says: '0.6 mm longer strikes the cap: refused', facts: of(25.8), outcome: 'refuse', caseId: 'strikes' },
    { says: '0.6 mm shorter is a caution', facts: of(24.6), outcome: 'caution', caseId: 'wide' },
    { says: 'a tip not measured is measured first', facts: engine, outcome: 'unknown' },
  ],
});
