import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, hole, USUAL, WASTE_SPARK_FOUR } from './position-forms.ts';

/** 2.0 four with a waste-spark pack: cylinders 2 and 4 fire in reverse, so a cheap single-precious plug is a trap. */
export const skerrowSc20: EngineEntry = {
  id: 'skerrow-sc20',
  maker: 'skerrow',
  code: 'SC20',
  summary: '2.0 four, petrol, waste-spark pack and leads',
  layout: 'in line 4',
  visits: 25,
  source: { rank: 'engine-maker', name: 'Skerrow workshop sheet' },
  cautions: [
    '2 and 4 fire in reverse: precious metal on both electrodes.',
    'Engine cold, ignition off: the pack’s secondary voltage can kill.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 90, ratio: 9.6, ratedRpm: 6200 }),
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 24 }),
    'position.lengthLimitMm': 56,
    'position.centreDesign': 'platinum',
    'position.groundDesign': 'platinum',
    'position.singlePreciousBan': true,
    'position.gapMm': { low: 1.05, high: 1.15 },
    'position.oeDepthMm': 23.55,
    'position.pistonTopMm': 28.5,
    'position.heat': { maker: 'kestrane', codes: ['63'] },
    'position.intervalKm': 60_000,
    'position.torque': { lowNm: 24, highNm: 30, condition: 'dry' },
  },
  positions: WASTE_SPARK_FOUR,
  oeNumbers: [{ number: '40-61-118-552' }, { number: '40-61-118-340', note: 'until 2016' }],
  traits: {
    litres: 2.0,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'pack',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  builds: [
    { label: 'to Aug 2016', to: '2016-08', traits: { coilPins: 3 } },
    { label: 'Sep 2016 on', from: '2016-09', traits: { coilPins: 4 } },
  ],
  vehicles: [
    { make: 'Skerrow', model: 'Haulm 2.0', from: 2009, to: 2018 },
    { make: 'Skerrow', model: 'Sedge estate 2.0', from: 2011, to: 2019 },
    { make: 'Skerrow', model: 'Rowan saloon 2.0', from: 2010 },
  ],
};
