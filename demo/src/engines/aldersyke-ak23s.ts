import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 2.3 straight five with a belt-driven supercharger: nothing hotter is forgiven, and a smaller pulley asks more of the coil. */
export const aldersykeAk23s: EngineEntry = {
  id: 'aldersyke-ak23s',
  maker: 'aldersyke',
  code: 'AK23S',
  summary: '2.3 straight five, petrol, belt supercharger, a coil on each plug',
  layout: 'in line 5',
  visits: 17,
  source: { rank: 'engine-maker', name: 'Aldersyke technical data' },
  cautions: [
    'Boosted: a plug hotter than asked glows and melts the piston.',
    'Belt and pulleys turn with the engine: hands and sleeves clear, engine off. Coils unplugged, ignition off.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 83, ratio: 8.8, ratedRpm: 6500, boostKpa: 55 }),
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 23 }),
    'position.lengthLimitMm': 53,
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.electrodeBan': 'poorer',
    'position.gapMm': { low: 0.6, high: 0.7 },
    'position.oeDepthMm': 23.1,
    'position.pistonTopMm': 27,
    'position.heat': { maker: 'kestrane', codes: ['65'] },
    'position.aspiration': 'forced',
    'position.intervalKm': 60_000,
    'position.torque': { lowNm: 20, highNm: 25, condition: 'dry' },
  },
  positions: forward(5),
  oeNumbers: [{ number: 'AK/3081-447' }],
  traits: {
    chargeCooler: true,
    litres: 2.3,
    fuel: 'petrol',
    layout: 'five',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: true,
    cooling: 'water',
    coilPins: 4,
  },
  vehicles: [
    { make: 'Aldersyke', model: 'Merrin 2.3 S', from: 2012, to: 2020 },
    { make: 'Aldersyke', model: 'Merrin estate 2.3 S', from: 2013 },
    { make: 'Aldersyke', model: 'Sparling coupé 2.3 S', from: 2015, to: 2022 },
    { make: 'Aldersyke', model: 'Sparling hill climb 2.3 S', from: 2016, to: 2021 },
    { make: 'Aldersyke', model: 'Dunnet 2.3 S', from: 2013, to: 2019 },
  ],
};
