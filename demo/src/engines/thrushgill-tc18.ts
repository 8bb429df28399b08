import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** 1.8 four of the rally cars: a permitted-plug list, on which the resistor twin of a permitted plug does not stand. */
export const thrushgillTc18: EngineEntry = {
  id: 'thrushgill-tc18',
  maker: 'thrushgill',
  code: 'TC18',
  summary: '1.8 four, petrol, rally, distributor and leads',
  layout: 'in line 4',
  visits: 8,
  source: { rank: 'engine-maker', name: 'Thrushgill preparation book' },
  cautions: [
    'Class list: only a printed number on the list counts.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 81.2, ratio: 10.6, ratedRpm: 7600 }),
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 24 }),
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.6, high: 0.75 },
    'position.oeDepthMm': 22.15,
    'position.pistonTopMm': 24.5,
    'position.heat': { maker: 'kestrane', codes: ['65', '67'] },
    'position.intervalKm': 5000,
    'position.torque': { lowNm: 22, highNm: 27, condition: 'dry' },
  },
  positions: forward(4),
  oeNumbers: [{ number: 'TG 88214 AA' }],
  traits: {
    litres: 1.8,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'cap',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
  },
  vehicles: [
    { make: 'Thrushgill', model: 'Cairn 1.8 GT', from: 1986, to: 1994 },
    { make: 'Thrushgill', model: 'Cairn 1.8 rally', from: 1988, to: 1995 },
    { make: 'Thrushgill', model: 'Scree 1.8', from: 1989, to: 1997 },
    { make: 'Thrushgill', model: 'Scree 1.8 S', from: 1990, to: 1996 },
    { make: 'Thrushgill', model: 'Crag 1.8 coupé', from: 1987, to: 1993 },
    { make: 'Thrushgill', model: 'Ridge 1.8 hill climb', from: 1990, to: 1996 },
    { make: 'Thrushgill', model: 'Ridge 1.8', from: 1991, to: 1998 },
  ],
};
