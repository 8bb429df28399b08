import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, hole, USUAL } from './position-forms.ts';

/** 3.0 straight six, turbo: nothing hotter is forgiven, and two makers fill one OE number. */
export const aldersykeAs30t: EngineEntry = {
  id: 'aldersyke-as30t',
  maker: 'aldersyke',
  code: 'AS30T',
  summary: '3.0 straight six, petrol, turbo, a coil on each plug',
  layout: 'in line 6',
  visits: 17,
  source: { rank: 'engine-maker', name: 'Aldersyke technical data' },
  cautions: [
    'Boosted: a plug hotter than asked glows and melts the piston.',
    'Turbo and manifold stay hot: let it cool. Coils unplugged, ignition off.',
  ],
  facts: {
    ...USUAL,
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 23 }),
    'position.lengthLimitMm': 53,
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.electrodeBan': 'poorer',
    'position.gapMm': { low: 0.7, high: 0.8 },
    'position.oeDepthMm': 23.2,
    'position.crownMm': 27,
    'position.heat': { maker: 'kestrane', codes: ['65'] },
    'position.aspiration': 'forced',
    'position.intervalKm': 60_000,
    'position.torque': { lowNm: 20, highNm: 25, condition: 'dry' },
  },
  positions: forward(6),
  oeNumbers: [{ number: 'AK/3081-447' }],
  traits: {
    litres: 3.0,
    fuel: 'petrol',
    layout: 'six',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: true,
    cooling: 'water',
    coilPins: 4,
  },
  vehicles: [
    { make: 'Aldersyke', model: 'Merrin 3.0 T', from: 2012, to: 2020 },
    { make: 'Aldersyke', model: 'Merrin estate 3.0 T', from: 2013 },
    { make: 'Aldersyke', model: 'Sparling coupé 3.0 T', from: 2015, to: 2022 },
    { make: 'Aldersyke', model: 'Dunnet 3.0 T', from: 2013, to: 2019 },
  ],
};
