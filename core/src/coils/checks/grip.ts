import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

const PRINTED = { solid: 'solid plug top', stud: 'bare stud', cup: 'cup', lead: 'lead' } as const;

export const grip = sameOrRefuse({
  id: 'grip',
  title: 'Contact',
  why: 'The contact in the boot grips one form of plug top; on another it arcs until it has burnt away.',
  source: 'Coils: Boot',
  has: 'coil.grips',
  asked: 'coilAsked.grips',
  print: (what) => PRINTED[what],
  says: {
    same: 'Its contact takes what stands there.',
    other: 'Its contact does not grip what stands there: the spark jumps inside the boot and burns it.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `Made for a ${has}, not a ${asked}`,
  examples: [
    {
      says: 'a contact for solid tops on solid tops matches',
      facts: { 'coil.grips': 'solid', 'coilAsked.grips': 'solid' },
      outcome: 'match',
    },
    {
      says: 'a contact for a bare stud on solid tops is refused',
      facts: { 'coil.grips': 'stud', 'coilAsked.grips': 'solid' },
      outcome: 'refuse',
    },
    { says: 'an unseen contact is looked at first', facts: { 'coilAsked.grips': 'solid' }, outcome: 'unknown' },
  ],
});
