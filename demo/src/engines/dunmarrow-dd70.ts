import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, USUAL } from './position-forms.ts';

/** 700 cm³ air-cooled twin: short reach, removable terminal nut, and shelves of plugs that look alike and are too long. */
export const dunmarrowDd70: EngineEntry = {
  id: 'dunmarrow-dd70',
  maker: 'dunmarrow',
  code: 'DD70',
  summary: '700 cm³ air-cooled twin, petrol, magneto',
  layout: 'twin',
  visits: 9,
  source: { rank: 'engine-maker', name: 'Dunmarrow handbook' },
  cautions: [
    'Fins stay hot long after a run: let it cool before the plugs come out.',
    'Magneto ignition: earth the lead before turning it over; the shock can kill.',
  ],
  facts: {
    ...USUAL,
    'position.threadDiameterMm': 14,
    'position.threadPitchMm': 1.25,
    'position.reachMm': { low: 12.7, high: 12.7 },
    'position.headThreadMm': 12.7,
    'position.seat': 'gasket',
    'position.hexMm': 20.8,
    'position.wellBoreMm': 'open',
    'position.lengthMm': { low: 46, high: 46 },
    'position.terminal': 'solid',
    'position.resistor': { kind: 'none-asked' },
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.7, high: 0.8 },
    'position.oeDepthMm': 15.9,
    'position.crownMm': 20,
    'position.heat': { maker: 'kestrane', codes: ['59'] },
    'position.intervalKm': 10_000,
    'position.torque': { lowNm: 22, highNm: 30, condition: 'dry' },
  },
  positions: forward(2),
  oeNumbers: [{ number: 'DMW 33.107' }],
  traits: {
    litres: 0.7,
    fuel: 'petrol',
    layout: 'twin',
    leadsGo: 'single-lead',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'air',
  },
  vehicles: [
    { make: 'Dunmarrow', model: 'Fellrunner utility', from: 1998, to: 2016 },
    { make: 'Dunmarrow', model: 'D700 rail trolley', from: 1987, to: 2009 },
    { make: 'Dunmarrow', model: 'D700 trencher', from: 1995, to: 2011 },
  ],
};
