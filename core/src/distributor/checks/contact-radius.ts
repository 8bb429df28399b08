import { radiusCheck } from '../radius-check.ts';

const engine = { 'capAsked.contactRadiusMm': 26 } as const;
const of = (mm: number) => ({ ...engine, 'cap.contactRadiusMm': mm });

export const contactRadius = radiusCheck({
  id: 'contact-radius',
  title: 'Contacts',
  why: 'The spark jumps from the rotor’s tip to the contact: too near and they strike, too far and voltage is lost.',
  has: 'cap.contactRadiusMm',
  asked: 'capAsked.contactRadiusMm',
  strikesWhen: 'smaller',
  words: {
    strikes: ['Its contacts stand too far in: the rotor strikes them and breaks.', 'Rotor strikes the contacts'],
    wide: ['Its contacts stand far out: the spark loses voltage on the way to them.', 'Contacts far from the tip'],
    near: ['Its contacts stand a little elsewhere.', 'Contacts a little off'],
    same: ['Its contacts stand where the rotor’s tip passes.', 'Contacts as asked'],
  },
  examples: [
    { says: '0.3 mm off matches', facts: of(26.3), outcome: 'match' },
    { says: '0.35 mm off is acceptable', facts: of(26.35), outcome: 'acceptable' },
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
