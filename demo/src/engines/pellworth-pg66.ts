import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 6.6 V8 for generator sets, on gas: taper M14 at a narrow gap, a number that two makers fill, and no kilometres to count. */
export const pellworthPg66: EngineEntry = {
  id: 'pellworth-pg66',
  maker: 'pellworth',
  code: 'PG66',
  summary: '6.6 V8, gas, generator set, distributor and leads',
  layout: 'V8',
  visits: 6,
  source: { rank: 'engine-maker', name: 'Pellworth set manual' },
  cautions: [
    'Gas fuel: a licensed gas fitter works on anything that carries it.',
    'Lock the set against remote start before anything is touched: moving parts.',
    'One lead at a time, or label them by bank.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 101.6, strokeMm: 101.6, ratio: 10, ratedRpm: 1800 }),
    ...hole({ threadMm: 14, reachMm: 17.5, seat: 'taper', hexMm: 16, lengthMm: 49, wellBoreMm: 'open' }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.55, high: 0.65 },
    'position.oeDepthMm': 21.15,
    'position.heat': { maker: 'kestrane', codes: ['59'] },
    'position.fuel': 'gas',
    'position.intervalHours': 800,
    'position.torque': { lowNm: 12, highNm: 18, condition: 'dry' },
  },
  positions: forward(8),
  oeNumbers: [
    { number: 'P-66-2210/3' },
    { number: 'P-66-2190/1', note: 'early sets' },
    { number: 'P-66-2190/2', note: 'early sets' },
  ],
  traits: {
    litres: 6.6,
    fuel: 'gas',
    layout: 'vee-eight',
    leadsGo: 'cap',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
  },
  vehicles: [
    { make: 'Pellworth', model: 'G66 standby set', from: 1999 },
    { make: 'Pellworth', model: 'G66 quarry set', from: 2001 },
    { make: 'Pellworth', model: 'G66 hospital set', from: 2003, to: 2018 },
    { make: 'Pellworth', model: 'G66 farm set', from: 2002, to: 2016 },
    { make: 'Pellworth', model: 'G66 peak set', from: 2008 },
    { make: 'Pellworth', model: 'G66 hire set', from: 2010 },
    { make: 'Pellworth', model: 'W66 irrigation pump', from: 2004, to: 2019 },
  ],
};
