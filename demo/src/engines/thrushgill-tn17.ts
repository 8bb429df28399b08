import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, hole, USUAL, WASTE_SPARK_FOUR } from './position-forms.ts';

/** 1.7 V4 designed for plain nickel; its cylinders alternate across the banks, and each bank takes other boots. */
export const thrushgillTn17: EngineEntry = {
  id: 'thrushgill-tn17',
  maker: 'thrushgill',
  code: 'TN17',
  summary: '1.7 V4, petrol, waste-spark pack and leads',
  layout: 'V4',
  visits: 12,
  source: { rank: 'engine-maker', name: 'Thrushgill workshop book' },
  cautions: [
    'Cylinders alternate across the banks: label every lead with its cylinder before it comes off.',
    '2 and 4 fire in reverse: there the ground electrode wears.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 79, strokeMm: 86.5, ratio: 9.4, ratedRpm: 5800 }),
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 24 }),
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.75, high: 0.85 },
    'position.oeDepthMm': 23.25,
    'position.heat': { maker: 'kestrane', codes: ['61'] },
    'position.intervalKm': 20_000,
    'position.torque': { lowNm: 21, highNm: 28, condition: 'dry' },
  },
  // 2 and 4 fire in reverse. Cylinder 4 stands against the bulkhead: no torque wrench goes on.
  positions: WASTE_SPARK_FOUR.map((one) =>
    one.cylinder === 4 ? { ...one, facts: { ...one.facts, 'position.wrenchReaches': false } } : one,
  ),
  oeNumbers: [
    { number: 'TG 17510 AC' },
    { number: 'TG 17510 AB', note: 'second series' },
    { number: 'TG 17510 AA', note: 'first series' },
  ],
  traits: {
    litres: 1.7,
    fuel: 'petrol',
    layout: 'vee-four',
    leadsGo: 'pack',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 4,
  },
  vehicles: [
    { make: 'Thrushgill', model: 'Fell 1.7', from: 2004, to: 2014 },
    { make: 'Thrushgill', model: 'Fell estate 1.7', from: 2005, to: 2015 },
    { make: 'Thrushgill', model: 'Fell van 1.7', from: 2006, to: 2013 },
    { make: 'Thrushgill', model: 'Scar 1.7', from: 2007, to: 2016 },
    { make: 'Thrushgill', model: 'Scar 4×4 1.7', from: 2008 },
    { make: 'Thrushgill', model: 'Tarn 1.7', from: 2006, to: 2012 },
    { make: 'Thrushgill', model: 'Tarn cabriolet 1.7', from: 2007, to: 2012 },
  ],
};
