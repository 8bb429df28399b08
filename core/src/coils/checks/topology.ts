import { sameOrRefuse } from '../../fitment/same-or-refuse.ts';

export const TOPOLOGY_WORDS = {
  'on-plug': 'coil on the plug',
  'near-plug': 'coil beside the plug, with its own lead',
  'waste-spark': 'waste-spark pack',
  rail: 'rail of coils',
  canister: 'single can',
} as const;

export const topology = sameOrRefuse({
  id: 'topology',
  title: 'Form',
  why: 'A coil for each plug, a pack that fires two at once and a can behind a distributor cannot stand in for each other.',
  source: 'Coils: Form',
  has: 'coil.topology',
  asked: 'coilAsked.topology',
  print: (form) => TOPOLOGY_WORDS[form],
  says: {
    same: 'It serves the plugs in the way this engine was wired for.',
    other: 'It serves the plugs in another way than this engine is wired for: nothing would fire in time.',
  },
  toDo: 'Do not fit it.',
  phrase: (has, asked) => `${has} where a ${asked} is asked`,
  examples: [
    {
      says: 'a coil on the plug where one is asked matches',
      facts: { 'coil.topology': 'on-plug', 'coilAsked.topology': 'on-plug' },
      outcome: 'match',
    },
    {
      says: 'a can where a pack is asked is refused',
      facts: { 'coil.topology': 'canister', 'coilAsked.topology': 'waste-spark' },
      outcome: 'refuse',
    },
    {
      says: 'an unknown form is asked for',
      facts: { 'coilAsked.topology': 'on-plug' },
      outcome: 'unknown',
    },
  ],
});
