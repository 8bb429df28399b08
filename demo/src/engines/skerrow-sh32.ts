import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, hole, USUAL } from './position-forms.ts';

/** 3.2 V6 with a turbo, its rear bank under the intake. The coil connector changed in June 2013. */
export const skerrowSh32: EngineEntry = {
  id: 'skerrow-sh32',
  maker: 'skerrow',
  code: 'SH32',
  summary: '3.2 V6, petrol, turbo, a coil on each plug',
  layout: 'V6',
  visits: 13,
  source: { rank: 'engine-maker', name: 'Skerrow workshop sheet' },
  cautions: [
    'Rear bank under the intake: jointed socket and magnet, and boots that part when pulled warm.',
    'Turbo and manifold stay hot: let it cool.',
    'Engine cold, ignition off: secondary voltage can kill. Blow out the well before the plug comes out; eye protection.',
  ],
  facts: {
    ...USUAL,
    ...hole({ threadMm: 14, reachMm: 26.5, hexMm: 16, lengthMm: 54, wellBoreMm: 24 }),
    'position.centreDesign': 'iridium',
    'position.groundDesign': 'platinum',
    'position.gapMm': { low: 0.7, high: 0.8 },
    'position.oeDepthMm': 30.6,
    'position.crownMm': 34,
    'position.heat': { maker: 'kestrane', codes: ['67'] },
    'position.aspiration': 'forced',
    'position.intervalKm': 90000,
    'position.torque': { lowNm: 23, highNm: 29, condition: 'dry' },
  },
  positions: forward(6),
  oeNumbers: [{ number: '40-77-204-118' }, { number: '40-77-204-110', note: 'until 2012' }],
  traits: {
    litres: 3.2,
    fuel: 'petrol',
    layout: 'vee-six',
    leadsGo: 'coil-each',
    plugsPerCylinder: 1,
    boosted: true,
    cooling: 'water',
  },
  builds: [
    { label: 'to May 2013', to: '2013-05', traits: { coilPins: 3 } },
    { label: 'Jun 2013 on', from: '2013-06', traits: { coilPins: 4 } },
  ],
  vehicles: [
    { make: 'Skerrow', model: 'Ling 3.2 T', from: 2009, to: 2017 },
    { make: 'Skerrow', model: 'Ling wagon 3.2 T', from: 2010, to: 2018 },
    { make: 'Skerrow', model: 'Heath 4×4 3.2 T', from: 2009 },
    { make: 'Skerrow', model: 'Fescue rescue wagon 3.2 T', from: 2011 },
    { make: 'Skerrow', model: 'Fescue coach 3.2 T', from: 2012, to: 2020 },
    { make: 'Skerrow', model: 'Gorse coupé 3.2 T', from: 2013, to: 2019 },
    { make: 'Skerrow', model: 'Bracken limousine 3.2 T', from: 2014, to: 2020 },
  ],
};
