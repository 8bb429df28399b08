import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, USUAL, WASTE_SPARK_FOUR } from './position-forms.ts';

const INTAKE = {
  'position.threadDiameterMm': 14,
  'position.threadPitchMm': 1.25,
  'position.reachMm': { low: 19, high: 19 },
  'position.headThreadMm': 19,
  'position.hexMm': 16,
  'position.lengthMm': { low: 50.5, high: 50.5 },
  'position.gapMm': { low: 0.9, high: 1 },
  'position.oeDepthMm': 23.4,
  'position.pistonTopMm': 28,
  'position.heat': { maker: 'kestrane', codes: ['63'] },
} as const;
const EXHAUST = {
  'position.threadDiameterMm': 12,
  'position.threadPitchMm': 1.25,
  'position.reachMm': { low: 19, high: 19 },
  'position.headThreadMm': 19,
  'position.hexMm': 14,
  'position.hexPoints': 12,
  'position.lengthMm': { low: 50, high: 50 },
  'position.gapMm': { low: 0.7, high: 0.85 },
  'position.oeDepthMm': 22.85,
  'position.pistonTopMm': 27,
  'position.heat': { maker: 'kestrane', codes: ['63'] },
} as const;

/** 2.0 four with two plugs a cylinder; the intake and the exhaust side take different ones. */
export const aldersykeAt20: EngineEntry = {
  id: 'aldersyke-at20',
  maker: 'aldersyke',
  code: 'AT20',
  summary: '2.0 twin-spark four, petrol, two packs and leads',
  layout: 'in line 4',
  visits: 11,
  source: { rank: 'engine-maker', name: 'Aldersyke technical data' },
  cautions: [
    'Eight plugs of two kinds: intake and exhaust side differ, and each fits only its own hole.',
    '2 and 4 fire in reverse on both sides: precious metal on both electrodes.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 84, strokeMm: 90, ratio: 10, ratedRpm: 6300 }),
    'position.terminal': 'solid',
    'position.resistor': { kind: 'range', low: 3, high: 7.5 },
    'position.seat': 'gasket',
    'position.wellBoreMm': 24,
    'position.centreDesign': 'platinum',
    'position.groundDesign': 'platinum',
    'position.singlePreciousBan': true,
    'position.intervalKm': 60000,
    'position.torque': { lowNm: 24, highNm: 32, nominalNm: 28, condition: 'dry' },
  },
  // On either side the pack's pairs alternate: 2 and 4 fire in reverse.
  positions: WASTE_SPARK_FOUR.flatMap(({ cylinder, facts }) => [
    { cylinder, place: 'intake', facts: { ...INTAKE, ...facts } },
    { cylinder, place: 'exhaust', facts: { ...EXHAUST, ...facts } },
  ]),
  oeNumbers: [
    { number: 'AK/2020-301', place: 'intake' },
    { number: 'AK/2020-302', place: 'exhaust' },
  ],
  traits: {
    litres: 2.0,
    fuel: 'petrol',
    layout: 'four',
    leadsGo: 'pack',
    plugsPerCylinder: 2,
    boosted: false,
    cooling: 'water',
    coilPins: 3,
  },
  vehicles: [
    { make: 'Aldersyke', model: 'Dunnet 2.0 TS', from: 1998, to: 2009 },
    { make: 'Aldersyke', model: 'Dunnet estate 2.0 TS', from: 1999, to: 2010 },
    { make: 'Aldersyke', model: 'Osier 2.0 TS', from: 2000, to: 2011 },
    { make: 'Aldersyke', model: 'Osier van 2.0 TS', from: 2001, to: 2012 },
    { make: 'Aldersyke', model: 'Sparling spider 2.0 TS', from: 1998, to: 2006 },
    { make: 'Aldersyke', model: 'Teasel 2.0 TS', from: 2002, to: 2010 },
    { make: 'Thrushgill', model: 'Cairn 2.0 TS', from: 2001, to: 2008 },
  ],
};
