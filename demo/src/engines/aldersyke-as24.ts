import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, hole, USUAL } from './position-forms.ts';

/** 2.4 straight six with a long interval. The shape of its coils changed with model year 2011. */
export const aldersykeAs24: EngineEntry = {
  id: 'aldersyke-as24',
  maker: 'aldersyke',
  code: 'AS24',
  summary: '2.4 straight six, petrol, a coil on each plug',
  layout: 'in line 6',
  visits: 15,
  source: { rank: 'engine-maker', name: 'Aldersyke technical data' },
  cautions: [
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
    'Coil boots tear when pulled straight: twist first, then pull on the body. Many hands find warm easier than cold; hot metal burns.',
  ],
  facts: {
    ...USUAL,
    ...hole({ threadMm: 14, reachMm: 26.5, hexMm: 16, lengthMm: 54, wellBoreMm: 24 }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 1.0, high: 1.1 },
    'position.oeDepthMm': 30.9,
    'position.crownMm': 36,
    'position.heat': { maker: 'kestrane', codes: ['63'] },
    'position.intervalKm': 160000,
    'position.torque': { lowNm: 22, highNm: 26, nominalNm: 24, condition: 'dry', dated: '2016-03' },
  },
  // An older sheet of the same maker says more than the later one.
  extra: [
    {
      source: { rank: 'engine-maker', name: 'Aldersyke repair sheet of 2009' },
      facts: { 'position.torque': { lowNm: 28, highNm: 34, condition: 'dry', dated: '2009-06' } },
    },
  ],
  positions: forward(6),
  oeNumbers: [{ number: 'AK/3024-210' }, { number: 'AK/3024-204', note: 'until 2009' }],
  traits: {
    litres: 2.4,
    fuel: 'petrol',
    layout: 'six',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  builds: [
    { label: 'to model year 2010', to: '2010-08', traits: { coilBoot: 'straight' } },
    { label: 'model year 2011 on', from: '2010-09', traits: { coilBoot: 'stepped' } },
  ],
  vehicles: [
    { make: 'Aldersyke', model: 'Merrin 2.4', from: 2005, to: 2016 },
    { make: 'Aldersyke', model: 'Merrin estate 2.4', from: 2006, to: 2017 },
    { make: 'Aldersyke', model: 'Sparling coupé 2.4', from: 2007, to: 2015 },
    { make: 'Aldersyke', model: 'Sparling 2.4', from: 2008, to: 2018 },
    { make: 'Aldersyke', model: 'Dunnet 2.4', from: 2005, to: 2014 },
    { make: 'Aldersyke', model: 'Dunnet limousine 2.4', from: 2006, to: 2013 },
    { make: 'Aldersyke', model: 'Osier 2.4', from: 2010, to: 2019 },
    { make: 'Ostrel', model: 'Bittern 2.4', from: 2008, to: 2014 },
  ],
};
