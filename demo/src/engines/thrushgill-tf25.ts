import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, hole, USUAL } from './position-forms.ts';

/** 2.5 flat four designed for plain nickel, with wells that collect oil; its cylinders alternate across the banks. */
export const thrushgillTf25: EngineEntry = {
  id: 'thrushgill-tf25',
  maker: 'thrushgill',
  code: 'TF25',
  summary: '2.5 flat four, petrol, waste-spark pack and leads',
  layout: 'flat four',
  visits: 12,
  source: { rank: 'engine-maker', name: 'Thrushgill workshop book' },
  cautions: [
    'Oil in a well: find the seal before new plugs go in.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...hole({ threadMm: 14, reachMm: 19, hexMm: 16, lengthMm: 50.5, wellBoreMm: 24 }),
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 1.0, high: 1.1 },
    'position.oeDepthMm': 23.5,
    'position.heat': { maker: 'kestrane', codes: ['61'] },
    'position.intervalKm': 40000,
    'position.torque': { lowNm: 21, highNm: 28, condition: 'dry' },
  },
  // Cylinder 4 lies under the battery tray: no torque wrench goes on.
  positions: forward(4).map((one) =>
    one.cylinder === 4 ? { ...one, facts: { ...one.facts, 'position.wrenchReaches': false } } : one,
  ),
  oeNumbers: [
    { number: 'TG 25510 AC' },
    { number: 'TG 25510 AB', note: 'second series' },
    { number: 'TG 25510 AA', note: 'first series' },
  ],
  traits: {
    litres: 2.5,
    fuel: 'petrol',
    layout: 'flat-four',
    leadsGo: 'pack',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
    coilPins: 4,
  },
  vehicles: [
    { make: 'Thrushgill', model: 'Fell 2.5', from: 2004, to: 2014 },
    { make: 'Thrushgill', model: 'Fell estate 2.5', from: 2005, to: 2015 },
    { make: 'Thrushgill', model: 'Fell van 2.5', from: 2006, to: 2013 },
    { make: 'Thrushgill', model: 'Scar 2.5', from: 2007, to: 2016 },
    { make: 'Thrushgill', model: 'Scar 4×4 2.5', from: 2008 },
    { make: 'Thrushgill', model: 'Tarn 2.5', from: 2006, to: 2012 },
    { make: 'Thrushgill', model: 'Tarn cabriolet 2.5', from: 2007, to: 2012 },
  ],
};
