import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, hole, USUAL, WASTE_SPARK_FOUR } from './position-forms.ts';

/** The SC20 as its maker sold it on gas: one step colder and a narrower gap. */
export const skerrowSc20g: EngineEntry = {
  id: 'skerrow-sc20g',
  maker: 'skerrow',
  code: 'SC20G',
  summary: '2.0 four, gas, waste-spark pack and leads',
  layout: 'in line 4',
  visits: 7,
  source: { rank: 'engine-maker', name: 'Skerrow gas supplement' },
  cautions: [
    'Gas fuel: a licensed gas fitter works on anything that carries it.',
    '2 and 4 fire in reverse: precious metal on both electrodes.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 90, ratio: 9.6, ratedRpm: 5800 }),
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 24 }),
    'position.lengthLimitMm': 56,
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.singlePreciousBan': true,
    'position.gapMm': { low: 0.8, high: 0.9 },
    'position.oeDepthMm': 23.3,
    'position.pistonTopMm': 28.5,
    'position.heat': { maker: 'kestrane', codes: ['65'] },
    'position.fuel': 'gas',
    'position.intervalKm': 30000,
    'position.torque': { lowNm: 24, highNm: 30, condition: 'dry' },
  },
  positions: WASTE_SPARK_FOUR,
  oeNumbers: [{ number: '40-61-118-560' }],
  traits: {
    litres: 2.0,
    fuel: 'gas',
    layout: 'four',
    leadsGo: 'pack',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  vehicles: [
    { make: 'Skerrow', model: 'Haulm 2.0 Gas', from: 2014, to: 2018 },
    { make: 'Skerrow', model: 'Sedge estate 2.0 Gas', from: 2014, to: 2019 },
    { make: 'Skerrow', model: 'Rowan saloon 2.0 Gas', from: 2014 },
    { make: 'Skerrow', model: 'Tormentil taxi 2.0 Gas', from: 2015 },
    { make: 'Skerrow', model: 'Tormentil minibus 2.0 Gas', from: 2016, to: 2021 },
    { make: 'Skerrow', model: 'Bent forklift 2.0 Gas', from: 2014 },
  ],
};
