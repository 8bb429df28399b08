import { adjustable, family, FIXED, SLIM_14 } from './family.ts';

const heat = (code: string) => ({ 'plug.heat': { maker: 'kestrane', code } });
const DOUBLE = {
  'plug.centreMaterial': 'platinum',
  'plug.groundMaterial': 'platinum',
  'plug.lifeKm': 60_000,
  'plug.gapAdjust': adjustable(0.2),
} as const;
const NICKEL = {
  'plug.centreMaterial': 'nickel',
  'plug.groundMaterial': 'nickel',
  'plug.lifeKm': 20_000,
  'plug.gapAdjust': adjustable(0.3),
} as const;

export const kestrane = [
  ...family('kestrane', { ...SLIM_14, 'plug.reachMm': 19, 'plug.gapMm': 1.05 }, [
    ['KN 419G-63DR', { ...DOUBLE, ...heat('63') }, [12, 'B2', 940]],
    ['KN 419G-61DR', { ...DOUBLE, ...heat('61') }, [4, 'B2', 940]],
    ['KN 419G-67DR', { ...DOUBLE, ...heat('67') }, [2, 'B2', 960]],
    ['KN 419G-63NR', { ...NICKEL, ...heat('63') }, [20, 'B1', 310]],
    ['KN 426G-63DR', { ...DOUBLE, ...heat('63'), 'plug.reachMm': 26.5, 'plug.gapAdjust': FIXED }, [5, 'B4', 940]],
  ]),
];
