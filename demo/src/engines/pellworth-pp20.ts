import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, USUAL } from './position-forms.ts';

/** 200 cm³ pump single: 9.5 mm reach, a bare stud for the lead's clip; the plug that is 19 mm long holes the piston. */
export const pellworthPp20: EngineEntry = {
  id: 'pellworth-pp20',
  maker: 'pellworth',
  code: 'PP20',
  summary: '200 cm³ pump single, petrol, flywheel magneto',
  layout: 'single',
  visits: 6,
  source: { rank: 'engine-maker', name: 'Pellworth owner’s book' },
  cautions: [
    'A longer plug meets the piston: check the reach before it goes in.',
    'Petrol vapour: work outside, engine cold, fuel tap closed.',
    'Take the lead off before touching the pump: it may start when turned.',
  ],
  facts: {
    ...USUAL,
    'position.threadDiameterMm': 14,
    'position.threadPitchMm': 1.25,
    'position.reachMm': { low: 9.5, high: 9.5 },
    'position.headThreadMm': 9.5,
    'position.seat': 'gasket',
    'position.hexMm': 20.8,
    'position.wellBoreMm': 'open',
    'position.lengthMm': { low: 40, high: 40 },
    'position.terminal': 'stud',
    'position.resistor': { kind: 'forbidden' },
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.6, high: 0.7 },
    'position.oeDepthMm': 12.3,
    'position.crownMm': 15.5,
    'position.heat': { maker: 'hollin-bray', codes: ['55'] },
    'position.intervalKm': 5000,
  },
  positions: forward(1),
  oeNumbers: [{ number: 'P-20-0114/2' }, { number: 'P-20-0114/1', note: 'before 2003' }],
  vehicles: [
    { make: 'Pellworth', model: 'P2 trash pump', from: 1994 },
    { make: 'Pellworth', model: 'P2 standby set', from: 2001, to: 2018 },
  ],
};
