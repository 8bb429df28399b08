import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { built, forward, hole, USUAL } from './position-forms.ts';

/** Old 3.6 six on nickel plugs, with angled boots close over the hot manifold. */
export const dunmarrowH6: EngineEntry = {
  id: 'dunmarrow-h6',
  maker: 'dunmarrow',
  code: 'H6',
  summary: '3.6 six, petrol, iron head, distributor and leads',
  layout: 'in line 6',
  visits: 4,
  source: { rank: 'engine-maker', name: 'Dunmarrow handbook' },
  cautions: [
    'Manifold close by stays hot: let it cool; route the leads clear of it.',
    'One lead at a time, or label them.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...built({ boreMm: 88, strokeMm: 98.6, ratio: 7.6, ratedRpm: 4000 }),
    'position.headMetal': 'cast-iron',
    ...hole({ threadMm: 14, reachMm: 17.5, hexMm: 20.8, lengthMm: 49, wellBoreMm: 'open' }),
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.8, high: 1.0 },
    'position.oeDepthMm': 21.4,
    'position.heat': { maker: 'kestrane', codes: ['59', '61'] },
    'position.intervalKm': 20000,
    'position.torque': { lowNm: 12, highNm: 20, condition: 'not-stated' },
    'position.turn': { lowTurns: 1 / 16, highTurns: 1 / 16, from: 'fingers', gasket: 'none' },
    'position.electrodeBan': 'better',
  },
  positions: forward(6),
  oeNumbers: [
    { number: 'DMW 41.220', note: 'iron manifold, to 1988' },
    { number: 'DMW 41.221', note: 'alloy manifold, from 1989' },
    { number: 'DMW 41.218', note: 'until 1984' },
  ],
  traits: {
    carburettor: true,
    litres: 3.6,
    fuel: 'petrol',
    layout: 'six',
    leadsGo: 'cap',
    plugsPerCylinder: 1,
    boosted: false,
    cooling: 'water',
  },
  vehicles: [
    { make: 'Dunmarrow', model: 'Hefter six-wheeler 3.6', from: 1979, to: 1991 },
    { make: 'Dunmarrow', model: 'Hefter fire tender 3.6', from: 1981, to: 1993 },
    { make: 'Dunmarrow', model: 'Steading lorry 3.6', from: 1978, to: 1990 },
    { make: 'Dunmarrow', model: 'Steading coach 3.6', from: 1980, to: 1992 },
    { make: 'Dunmarrow', model: 'Moorlander 3.6', from: 1984, to: 1996 },
    { make: 'Dunmarrow', model: 'Moorlander ambulance 3.6', from: 1985, to: 1994 },
    { make: 'Dunmarrow', model: 'D36 winch', from: 1978, to: 1995 },
  ],
};
