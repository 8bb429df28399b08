import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 2.2 four with a long interval. The connector and boot of its coils changed at serial number 408 212, not with a model year. */
export const aldersykeAs22: EngineEntry = {
  id: 'aldersyke-as22',
  maker: 'aldersyke',
  code: 'AS22',
  summary: '2.2 four, petrol, a coil on each plug',
  layout: 'in line 4',
  visits: 15,
  source: { rank: 'engine-maker', name: 'Aldersyke technical data' },
  cautions: [
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
    'Coil boots tear when pulled straight: twist first, then pull on the body. Many hands find warm easier than cold; hot metal burns.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 99, ratio: 10.5, ratedRpm: 6300 }),
    ...hole({ threadMm: 14, reachMm: 26.5, hexMm: 16, lengthMm: 54, wellBoreMm: 24 }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.95, high: 1.05 },
    'position.oeDepthMm': 30.95,
    'position.pistonTopMm': 36,
    'position.heat': { maker: 'kestrane', codes: ['63'] },
    'position.intervalKm': 140_000,
    'position.torque': { lowNm: 22, highNm: 26, nominalNm: 24, condition: 'dry' },
  },
  positions: forward(4),
  oeNumbers: [{ number: 'AK/2204-210' }, { number: 'AK/2204-204', note: 'until 2009' }],
  traits: {
    litres: 2.2,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
  },
  builds: [
    { label: 'serial to 408 211', toSerial: 408_211, traits: { coilPins: 3, coilBoot: 'straight' } },
    { label: 'serial 408 212 on', fromSerial: 408_212, traits: { coilPins: 4, coilBoot: 'stepped' } },
  ],
  vehicles: [
    { make: 'Aldersyke', model: 'Merrin 2.2', from: 2005, to: 2016 },
    { make: 'Aldersyke', model: 'Merrin estate 2.2', from: 2006, to: 2017 },
    { make: 'Aldersyke', model: 'Sparling coupé 2.2', from: 2007, to: 2015 },
    { make: 'Aldersyke', model: 'Sparling 2.2', from: 2008, to: 2018 },
    { make: 'Aldersyke', model: 'Dunnet 2.2', from: 2005, to: 2014 },
    { make: 'Aldersyke', model: 'Dunnet van 2.2', from: 2006, to: 2013 },
    { make: 'Aldersyke', model: 'Osier 2.2', from: 2010, to: 2019 },
    { make: 'Ostrel', model: 'Bittern 2.2', from: 2008, to: 2014 },
  ],
};
