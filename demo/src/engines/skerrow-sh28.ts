import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 2.8 V6, its rear bank under the intake, which comes off for it. The maker's own two sheets give two torques. */
export const skerrowSh28: EngineEntry = {
  id: 'skerrow-sh28',
  maker: 'skerrow',
  code: 'SH28',
  summary: '2.8 V6, petrol, a coil on each plug',
  layout: 'V6',
  visits: 13,
  source: { rank: 'engine-maker', name: 'Skerrow workshop sheet' },
  cautions: [
    'Rear bank under the intake: while it is off, rags in the ports, counted in and counted out.',
    'Petrol vapour while the intake is off: no flame, no spark, and blow the bay out before the first start.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 86, strokeMm: 80.2, ratio: 10.2, ratedRpm: 6400 }),
    ...hole({ threadMm: 12, reachMm: 22, hexMm: 14, lengthMm: 52, wellBoreMm: 21 }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 1.0, high: 1.1 },
    'position.oeDepthMm': 26.1,
    'position.pistonTopMm': 31,
    'position.heat': { maker: 'kestrane', codes: ['63'] },
    'position.intervalKm': 90_000,
    'position.torque': { lowNm: 15, highNm: 18, condition: 'dry', dated: '2016-03' },
  },
  // An older sheet of the same maker says more than the later one.
  extra: [
    {
      source: { rank: 'engine-maker', name: 'Skerrow repair sheet of 2009' },
      facts: { 'position.torque': { lowNm: 20, highNm: 24, condition: 'dry', dated: '2009-06' } },
    },
  ],
  positions: forward(6),
  oeNumbers: [{ number: '40-77-204-118' }, { number: '40-77-204-110', note: 'until 2012' }],
  traits: {
    litres: 2.8,
    fuel: 'petrol',
    layout: 'vee-six',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  vehicles: [
    { make: 'Skerrow', model: 'Ling 2.8', from: 2009, to: 2017 },
    { make: 'Skerrow', model: 'Ling wagon 2.8', from: 2010, to: 2018 },
    { make: 'Skerrow', model: 'Heath 4×4 2.8', from: 2009 },
    { make: 'Skerrow', model: 'Fescue rescue wagon 2.8', from: 2011 },
    { make: 'Skerrow', model: 'Fescue coach 2.8', from: 2012, to: 2020 },
    { make: 'Skerrow', model: 'Gorse coupé 2.8', from: 2013, to: 2019 },
    { make: 'Skerrow', model: 'Bracken limousine 2.8', from: 2014, to: 2020 },
  ],
};
