import type { EngineEntry } from '@brackenfell/contract/catalogue-file';
import { forward, USUAL } from './position-forms.ts';

/** 2.2 four with an iron head and a distributor: a taper seat, next to a gasket-seat twin of the same thread and hex. */
export const dunmarrowHf22: EngineEntry = {
  id: 'dunmarrow-hf22',
  maker: 'dunmarrow',
  code: 'HF22',
  summary: '2.2 four, petrol, iron head, distributor and leads',
  layout: 'in line 4',
  visits: 12,
  source: { rank: 'engine-maker', name: 'Dunmarrow workshop manual' },
  cautions: [
    'Taper seat: no washer, and little torque; overtightened it does not come out again.',
    'One lead at a time or label them. Ignition off: secondary voltage can kill.',
  ],
  facts: {
    ...USUAL,
    'position.threadDiameterMm': 18,
    'position.threadPitchMm': 1.5,
    'position.reachMm': { low: 12, high: 12 },
    'position.headThreadMm': 12,
    'position.seat': 'taper',
    'position.hexMm': 20.8,
    'position.wellBoreMm': 'open',
    'position.lengthMm': { low: 48, high: 48 },
    'position.lengthLimitMm': 60,
    'position.terminal': 'solid',
    'position.resistor': { kind: 'range', low: 3, high: 7.5 },
    'position.centreDesign': 'nickel',
    'position.groundDesign': 'nickel',
    'position.gapMm': { low: 0.8, high: 0.9 },
    'position.oeDepthMm': 15.9,
    'position.crownMm': 22,
    'position.heat': { maker: 'hollin-bray', codes: ['50'] },
    'position.intervalKm': 20_000,
  },
  positions: forward(4),
  oeNumbers: [{ number: 'DMW 22.415' }, { number: 'DMW 22.409', note: 'until 1996' }],
  vehicles: [
    { make: 'Dunmarrow', model: 'Hefter pick-up 2.2', from: 1988, to: 2004 },
    { make: 'Dunmarrow', model: 'Hefter forwarder', from: 1990, to: 2007 },
    { make: 'Pellworth', model: 'K22 pump set', from: 1992, to: 2005 },
  ],
};
