import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 1.6 four with a turbo. Its coils were revised in March 2018, and the two kinds must not be mixed in one engine. */
export const ostrelOf16t: EngineEntry = {
  id: 'ostrel-of16t',
  maker: 'ostrel',
  code: 'OF16T',
  summary: '1.6 four, petrol, turbo, a coil on each plug',
  layout: 'in line 4',
  visits: 18,
  source: { rank: 'engine-maker', name: 'Ostrel repair manual' },
  cautions: [
    'Slim M12 thread: start by hand and use a torque wrench.',
    'Coils of before and after March 2018 are not mixed in one engine.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 77, strokeMm: 85.8, ratio: 9.2, ratedRpm: 6000, boostKpa: 70 }),
    ...hole({ threadMm: 12, reachMm: 26.5, hexMm: 14, lengthMm: 54, wellBoreMm: 20.5 }),
    'position.hexPoints': 12,
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.5, high: 0.6 },
    'position.oeDepthMm': 30.1,
    'position.pistonTopMm': 33,
    'position.heat': { maker: 'kestrane', codes: ['67'] },
    'position.aspiration': 'forced',
    'position.intervalKm': 60000,
    'position.torque': { lowNm: 15, highNm: 19, condition: 'dry' },
  },
  positions: forward(4),
  oeNumbers: [{ number: '7C 1602-118 B' }, { number: '7C 1602-118 A', note: 'until 2018' }],
  traits: {
    litres: 1.6,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: true,
    cooling: 'water',
  },
  builds: [
    { label: 'to Feb 2018', to: '2018-02', traits: { coilPins: 3 } },
    { label: 'Mar 2018 on', from: '2018-03', traits: { coilPins: 4 } },
  ],
  vehicles: [
    { make: 'Ostrel', model: 'Linnet 1.6 T', from: 2015, to: 2021 },
    { make: 'Ostrel', model: 'Pipit 1.6 T', from: 2016, to: 2023 },
    { make: 'Ostrel', model: 'Corncrake 1.6 T', from: 2018 },
    { make: 'Ostrel', model: 'Whinchat 1.6 T', from: 2014, to: 2020 },
    { make: 'Ostrel', model: 'Whinchat estate 1.6 T', from: 2015 },
    { make: 'Ostrel', model: 'Turnstone van 1.6 T', from: 2017 },
    { make: 'Skerrow', model: 'Bilberry 1.6 T', from: 2017, to: 2022 },
  ],
};
