import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 1.2 three, coil on plug, across five models and two badges. Nobody publishes how near the piston comes. */
export const ostrelOw12: EngineEntry = {
  id: 'ostrel-ow12',
  maker: 'ostrel',
  code: 'OW12',
  summary: '1.2 three, petrol, a coil on each plug',
  layout: 'in line 3',
  visits: 31,
  source: { rank: 'engine-maker', name: 'Ostrel repair manual' },
  cautions: [
    'Slim M12 thread: start by hand and use a torque wrench; it strips before it feels tight.',
    'Engine cold, ignition off, coils unplugged: their secondary voltage can kill.',
    'Blow out the plug well before the plug comes out; eye protection. Oil in one well alone: find the seal first.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 75, strokeMm: 90.5, ratio: 10.5, ratedRpm: 6400 }),
    ...hole({ threadMm: 12, reachMm: 26.5, hexMm: 14, lengthMm: 54, wellBoreMm: 20.5 }),
    'position.hexPoints': 12,
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.7, high: 0.8 },
    'position.oeDepthMm': 30.3,
    'position.heat': { maker: 'ivorix', codes: ['C'] },
    'position.intervalKm': 100_000,
    'position.torque': { lowNm: 25, highNm: 25, condition: 'dry' },
  },
  positions: forward(3),
  oeNumbers: [{ number: '7C 1184-203 B' }, { number: '7C 1184-203 A', note: 'until 2019' }],
  traits: {
    litres: 1.2,
    fuel: 'petrol',
    layout: 'three',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  vehicles: [
    { make: 'Ostrel', model: 'Linnet 1.2', from: 2014, to: 2021 },
    { make: 'Ostrel', model: 'Linnet van 1.2', from: 2015 },
    { make: 'Ostrel', model: 'Pipit 1.2', from: 2016, to: 2023 },
    { make: 'Ostrel', model: 'Corncrake 1.2', from: 2018 },
    { make: 'Skerrow', model: 'Bilberry 1.2', from: 2017, to: 2022 },
  ],
};
