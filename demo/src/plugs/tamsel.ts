import {
  alsoKnownAs,
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  family,
  heat,
  LONG_12,
  NICKEL,
  OLD_14,
  SHORT_14,
  SLIM_14,
  TAPER_18,
} from './family.ts';

const h = heat('tamsel');

/** Tamsel: bare stock numbers that tell nothing; its published figures have gaps. */
export const tamsel = [
  ...family('tamsel', { ...SLIM_14, ...DOUBLE_PLATINUM, ...h('6'), 'plug.gapMm': 1.1 }, [
    ['TS 500 226', {}, [11, 'E1', 720], alsoKnownAs(7500226)],
    ['TS 500 214', { 'plug.hexMm': 15.875, 'plug.lengthMm': 52.5, 'plug.hexPoints': 12 }, [16, 'E1', 710]],
    ['TS 500 187', { 'plug.seat': 'taper' }, [7, 'E1', 695], alsoKnownAs(7500187)],
    ['TS 500 231', { 'plug.reachMm': undefined }, [10, 'E1', 545], alsoKnownAs(7500231)],
    ['TS 500 232', { 'plug.hexMm': 20.8 }, [4, 'E1', 690]],
    ['TS 500 233', {}, [8, 'E2', 560]],
    ['TS 500 234', { 'plug.supply': { state: 'superseded', successor: 'TS 500 226' } }, [2, 'E2', 700]],
    ['TS 500 235', { 'plug.shell': 'two-piece' }, [3, 'E2', 690]],
    ['TS 500 236', { 'plug.resistor': undefined }, [10, 'E2', 545]],
    // Silver lasts two thirds of the engine maker's interval and not the whole: the shop's rule decides.
    [
      'TS 500 241',
      { 'plug.centreMaterial': 'silver', 'plug.groundMaterial': 'silver', 'plug.lifeKm': 45_000 },
      [5, 'E2', 480],
    ],
    // Catalogue and one gauging disagree: one such figure settles nothing, but it must be asked about.
    [
      'TS 500 237',
      {},
      [6, 'E2', 640],
      {
        extra: [
          { source: { rank: 'gauged', name: 'Gauged at this counter' }, readings: 1, facts: { 'plug.reachMm': 26.5 } },
        ],
      },
    ],
    // Two lists of equal rank disagree about the resistor: judged by each, the worst counts.
    [
      'TS 500 238',
      { 'plug.resistor': { kind: 'value', kohm: 5 } },
      [4, 'E2', 640],
      {
        extra: [
          {
            source: { rank: 'part-maker', name: 'Tamsel data sheet 2019' },
            facts: { 'plug.resistor': { kind: 'value', kohm: 12 } },
          },
        ],
      },
    ],
    ['TS 500 239', { 'plug.threadedLengthMm': 16.5 }, [3, 'E2', 610]],
    ['TS 500 240', { 'plug.lengthMm': 58 }, [3, 'E2', 610]],
  ]),
  ...family('tamsel', { ...SLIM_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.65 }, [
    ['TS 500 251', h('7'), [6, 'E3', 980], alsoKnownAs(7500251)],
    ['TS 500 252', h('8'), [4, 'E3', 980]],
  ]),
  ...family('tamsel', { ...LONG_12, ...DOUBLE_IRIDIUM, ...h('6') }, [
    ['TS 500 310', {}, [6, 'E4', 1010], alsoKnownAs(7500310)],
    ['TS 500 311', { 'plug.hexMm': undefined }, [3, 'E4', 990]],
    ['TS 500 312', { 'plug.hexPoints': 6 }, [3, 'E4', 990]],
    ['TS 500 313', { ...NICKEL }, [8, 'E4', 330]],
  ]),
  ...family('tamsel', { ...OLD_14, ...h('4') }, [
    ['TS 500 120', {}, [10, 'E5', 190], alsoKnownAs(7500120)],
    ['TS 500 121', { 'plug.terminal': 'stud' }, [6, 'E5', 185], { names: [{ kind: 'box', printed: 'B12 450' }] }],
    ['TS 500 122', { 'plug.terminal': 'stud', 'plug.nutCanBeFitted': undefined }, [6, 'E5', 180]],
    ['TS 500 123', { 'plug.terminal': 'cup' }, [2, 'E5', 195]],
  ]),
  ...family('tamsel', { ...SHORT_14, ...h('4') }, [
    ['TS 500 105', { 'plug.terminal': 'stud' }, [8, 'E6', 170], alsoKnownAs(7500105)],
    ['TS 500 106', { 'plug.terminal': 'solid' }, [4, 'E6', 170]],
    ['TS 500 107', { 'plug.terminal': undefined }, [4, 'E6', 165]],
  ]),
  ...family('tamsel', { ...TAPER_18, ...h('5') }, [
    ['TS 500 410', {}, [9, 'E7', 260], alsoKnownAs(7500410)],
    ['TS 500 411', { 'plug.seat': undefined }, [5, 'E7', 255]],
    ['TS 500 412', { 'plug.seat': 'gasket-fixed' }, [5, 'E7', 255], alsoKnownAs(7500412)],
  ]),
];
