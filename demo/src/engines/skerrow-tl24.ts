import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 2.4 four with two valves a cylinder: a two-piece plug with a long shell that seizes in the head. */
export const skerrowTl24: EngineEntry = {
  id: 'skerrow-tl24',
  maker: 'skerrow',
  code: 'TL24',
  summary: '2.4 four, petrol, two-valve, a coil on each plug',
  layout: 'in line 4',
  visits: 9,
  source: { rank: 'engine-maker', name: 'Skerrow special procedure' },
  cautions: [
    'Two-piece plugs seize: the maker’s own removal procedure, penetrating fluid and time, before any force.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 90, strokeMm: 94, ratio: 9.3, ratedRpm: 5400 }),
    ...hole({ threadMm: 14, reachMm: 38, hexMm: 16, lengthMm: 62, wellBoreMm: 24 }),
    'position.centreDesign': 'platinum',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 1.1, high: 1.2 },
    'position.oeDepthMm': 42.8,
    'position.heat': { maker: 'kestrane', codes: ['61'] },
    'position.shellFitted': 'two-piece',
    'position.seizesTwoPiece': true,
    'position.intervalKm': 100_000,
    'position.torque': { lowNm: 32, highNm: 36, nominalNm: 34, condition: 'with-compound' },
    'position.instructs': {
      rule: 'engineTemperature',
      school: 'makers-procedure',
      says: 'plugs are freed at a hand-warm head, in small turns back and forth',
    },
  },
  positions: forward(4),
  oeNumbers: [{ number: '40-80-330-021' }],
  traits: {
    litres: 2.4,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 2,
  },
  vehicles: [
    { make: 'Skerrow', model: 'Heath 4×4 2.4', from: 2006, to: 2012 },
    { make: 'Skerrow', model: 'Fescue truck 2.4', from: 2006, to: 2012 },
    { make: 'Skerrow', model: 'Fescue double cab 2.4', from: 2007, to: 2012 },
    { make: 'Skerrow', model: 'Gorse 2.4', from: 2006, to: 2010 },
    { make: 'Skerrow', model: 'Tussock pick-up 2.4', from: 2006, to: 2011 },
    { make: 'Skerrow', model: 'Tussock recovery 2.4', from: 2008, to: 2012 },
  ],
};
