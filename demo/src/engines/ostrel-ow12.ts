import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, USUAL } from './position-forms.ts';

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
    'Blow out the plug well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    'position.threadDiameterMm': 12,
    'position.threadPitchMm': 1.25,
    'position.reachMm': { low: 26.5, high: 26.5 },
    'position.headThreadMm': 26.5,
    'position.seat': 'gasket',
    'position.hexMm': 14,
    'position.hexPoints': 12,
    'position.wellBoreMm': 20.5,
    'position.lengthMm': { low: 54, high: 54 },
    'position.terminal': 'solid',
    'position.resistor': { kind: 'range', low: 3, high: 7.5 },
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.75, high: 0.85 },
    'position.oeDepthMm': 30.35,
    'position.heat': { maker: 'ivorix', codes: ['C'] },
    'position.intervalKm': 100_000,
  },
  positions: forward(3),
  oeNumbers: [{ number: '7C 1184-203 B' }, { number: '7C 1184-203 A', note: 'until 2019' }],
  vehicles: [
    { make: 'Ostrel', model: 'Linnet 1.2', from: 2014, to: 2021 },
    { make: 'Ostrel', model: 'Linnet van 1.2', from: 2015 },
    { make: 'Ostrel', model: 'Pipit 1.2', from: 2016, to: 2023 },
    { make: 'Ostrel', model: 'Corncrake 1.2', from: 2018 },
    { make: 'Skerrow', model: 'Bilberry 1.2', from: 2017, to: 2022 },
  ],
};
