import { adjustable, family, SLIM_14 } from './family.ts';

const DOUBLE = {
  'plug.centreMaterial': 'platinum',
  'plug.groundMaterial': 'platinum',
  'plug.gapAdjust': adjustable(0.2),
} as const;

export const others = [
  ...family('hollin-bray', { ...SLIM_14, ...DOUBLE, 'plug.reachMm': 19, 'plug.gapMm': 1.05, 'plug.lifeKm': 60_000 }, [
    ['HB/19/45.D1', { 'plug.heat': { maker: 'hollin-bray', code: '45' } }, [4, 'C1', 885]],
    ['HB/19/40.D1', { 'plug.heat': { maker: 'hollin-bray', code: '40' } }, [9, 'C1', 885]],
  ]),
  ...family(
    'ivorix',
    {
      ...SLIM_14,
      'plug.reachMm': 19,
      'plug.gapMm': 1.05,
      'plug.lifeKm': 100_000,
      'plug.heat': { maker: 'ivorix', code: 'C' },
    },
    [
      ['IVX-C19-D10', { ...DOUBLE }, [8, 'D3', 1120]],
      [
        'IVX-C19-F10',
        { 'plug.centreMaterial': 'iridium', 'plug.groundMaterial': 'nickel', 'plug.gapAdjust': adjustable(0.15) },
        [14, 'D3', 680],
      ],
    ],
  ),
  ...family(
    'tamsel',
    { ...SLIM_14, ...DOUBLE, 'plug.gapMm': 1.05, 'plug.lifeKm': 60_000, 'plug.heat': { maker: 'tamsel', code: '6' } },
    [
      ['TS 500 187', { 'plug.reachMm': 19, 'plug.seat': 'taper' }, [7, 'E1', 695]],
      ['TS 500 231', {}, [10, 'E1', 545]],
    ],
  ),
];
