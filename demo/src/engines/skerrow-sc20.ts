import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { USUAL } from './position-forms.ts';

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
    'position.threadDiameterMm': 14,
    'position.threadPitchMm': 1.25,
    'position.reachMm': { low: 19, high: 19 },
    'position.headThreadMm': 19,
    'position.seat': 'gasket',
    'position.hexMm': 16,
    'position.wellBoreMm': 24,
    'position.lengthMm': { low: 50.5, high: 50.5 },
    'position.lengthLimitMm': 56,
    'position.terminal': 'solid',
    'position.resistor': { kind: 'range', low: 3, high: 7.5 },
    'position.centreDesign': 'platinum',
    'position.groundDesign': 'platinum',
    'position.singlePreciousBan': true,
    'position.gapMm': { low: 1, high: 1.1 },
    'position.oeDepthMm': 23.5,
    'position.crownMm': 28.5,
    'position.heat': { maker: 'kestrane', codes: ['63'] },
    'position.intervalKm': 60_000,
  },
  positions: [
    { cylinder: 1, facts: { 'position.polarity': 'forward' } },
    { cylinder: 2, facts: { 'position.polarity': 'reverse' } },
    { cylinder: 3, facts: { 'position.polarity': 'forward' } },
    { cylinder: 4, facts: { 'position.polarity': 'reverse' } },
  ],
  oeNumbers: [{ number: '40-61-118-552' }, { number: '40-61-118-340', note: 'until 2016' }],
  vehicles: [
    { make: 'Skerrow', model: 'Haulm 2.0', from: 2009, to: 2018 },
    { make: 'Skerrow', model: 'Sedge estate 2.0', from: 2011, to: 2019 },
    { make: 'Skerrow', model: 'Rowan saloon 2.0', from: 2010 },
  ],
};
