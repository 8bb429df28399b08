import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, hole, USUAL } from './position-forms.ts';

/** 5.7 V8 for generator sets, on gas: taper M14, and a factory gap of 1.5 mm that asks much of the coil. */
export const pellworthPg57: EngineEntry = {
  id: 'pellworth-pg57',
  maker: 'pellworth',
  code: 'PG57',
  summary: '5.7 V8, gas, generator set, distributor and leads',
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
    ...hole({ threadMm: 14, reachMm: 17.5, seat: 'taper', hexMm: 16, lengthMm: 49, wellBoreMm: 'open' }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 1.45, high: 1.55 },
    'position.oeDepthMm': 22.0,
    'position.heat': { maker: 'kestrane', codes: ['59'] },
    'position.fuel': 'gas',
    'position.intervalHours': 800,
    'position.torque': { lowNm: 12, highNm: 18, condition: 'dry' },
  },
  positions: forward(8),
  oeNumbers: [
    { number: 'P-57-2210/3' },
    { number: 'P-57-2190/1', note: 'early sets' },
    { number: 'P-57-2190/2', note: 'early sets' },
  ],
  traits: {
    litres: 5.7,
    fuel: 'gas',
    layout: 'vee-eight',
    leadsGo: 'cap',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
  },
  vehicles: [
    { make: 'Pellworth', model: 'G57 standby set', from: 1999 },
    { make: 'Pellworth', model: 'G57 quarry set', from: 2001 },
    { make: 'Pellworth', model: 'G57 hospital set', from: 2003, to: 2018 },
    { make: 'Pellworth', model: 'G57 farm set', from: 2002, to: 2016 },
    { make: 'Pellworth', model: 'G57 peak set', from: 2008 },
    { make: 'Pellworth', model: 'G57 hire set', from: 2010 },
    { make: 'Pellworth', model: 'W57 irrigation pump', from: 2004, to: 2019 },
  ],
};
