import {
  alsoKnownAs,
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  family,
  FIXED,
  heat,
  LONG_12,
  NICKEL,
  NO_RESISTOR,
  OLD_14,
  R5,
  SHORT_14,
  SLIM_14,
  TAPER_18,
} from './family.ts';

const h = heat('kestrane');

/** Kestrane: numbers rise colder. Thread class, reach, seat letter, dash, heat, material and resistor letters. */
export const kestrane = [
  ...family('kestrane', { ...SLIM_14, ...DOUBLE_PLATINUM, 'plug.gapMm': 1.1 }, [
    ['KN 419G-63DR', h('63'), [12, 'B2', 940], alsoKnownAs(4196301, '19G63DR')],
    ['KN 419G-59DR', h('59'), [3, 'B2', 940]],
    ['KN 419G-61DR', h('61'), [4, 'B2', 940], alsoKnownAs(4196101, '19G61DR')],
    ['KN 419G-65DR', h('65'), [6, 'B2', 955]],
    ['KN 419G-67DR', h('67'), [2, 'B2', 960]],
    ['KN 419G-69DR', h('69'), [0, 'B2', 990]],
    ['KN 419G-63D', { ...h('63'), ...NO_RESISTOR }, [5, 'B3', 880]],
    ['KN 419T-63DR', { ...h('63'), 'plug.seat': 'taper' }, [2, 'B3', 940]],
    ['KN 412G-63DR', { ...h('63'), 'plug.reachMm': 12.7 }, [1, 'B3', 910]],
    [
      'KN 426G-63DR',
      { ...h('63'), 'plug.reachMm': 26.5, 'plug.gapAdjust': FIXED },
      [5, 'B4', 940],
      alsoKnownAs(4266301, '26G63DR'),
    ],
    ['KN 419G-63NR', { ...h('63'), ...NICKEL }, [20, 'B1', 310], alsoKnownAs(4196302, '19G63NR')],
    ['KN 419G-65NR', { ...h('65'), ...NICKEL }, [16, 'B1', 310]],
  ]),
  ...family('kestrane', { ...SLIM_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.65 }, [
    ['KN 419G-65IR', { ...h('65'), 'plug.lifeKm': 60_000 }, [18, 'B5', 1340], alsoKnownAs(4196503, '19G65IR')],
    ['KN 419G-63IR', h('63'), [6, 'B5', 1340]],
    ['KN 419G-67IR', h('67'), [12, 'B5', 1380]],
    ['KN 419G-69IR', h('69'), [6, 'B5', 1450]],
  ]),
  ...family('kestrane', { ...LONG_12, ...DOUBLE_IRIDIUM }, [
    ['KN 226G-63IR', h('63'), [9, 'B6', 1420], alsoKnownAs(2266303, '26S63IR')],
    ['KN 226G-61IR', h('61'), [3, 'B6', 1420]],
    ['KN 226G-65IR', h('65'), [3, 'B6', 1440]],
    ['KN 226G-63NR', { ...h('63'), ...NICKEL }, [12, 'B6', 420]],
    ['KN 219G-63IR', { ...h('63'), 'plug.reachMm': 19 }, [2, 'B6', 1390]],
  ]),
  ...family('kestrane', OLD_14, [
    ['KN 412G-59N', h('59'), [24, 'A1', 265], alsoKnownAs(4125901, '12G59N')],
    ['KN 412G-57N', h('57'), [6, 'A1', 265]],
    // Planted: its box print is also that of a Tamsel plug.
    ['KN 412G-61N', h('61'), [10, 'A1', 265], { names: [{ kind: 'box', printed: 'B12 450' }] }],
    ['KN 412G-59NR', { ...h('59'), ...R5 }, [8, 'A1', 290]],
    ['KN 419G-59N', { ...h('59'), 'plug.reachMm': 19 }, [7, 'A2', 280], alsoKnownAs(4195901, '19G59N')],
  ]),
  ...family('kestrane', SHORT_14, [
    ['KN 409G-59N', h('59'), [10, 'A3', 240], alsoKnownAs(4095901, '09G59N')],
    ['KN 409G-57N', h('57'), [4, 'A3', 240]],
    ['KN 409G-59NR', { ...h('59'), ...R5 }, [4, 'A3', 265]],
  ]),
  ...family('kestrane', TAPER_18, [
    ['KN 812T-61NR', h('61'), [14, 'A5', 360], alsoKnownAs(8126101, '12T61NR')],
    ['KN 812T-63NR', h('63'), [8, 'A5', 360]],
    ['KN 812T-57NR', h('57'), [2, 'A5', 360]],
    ['KN 812T-61N', { ...h('61'), ...NO_RESISTOR }, [6, 'A5', 330]],
    ['KN 812G-61NR', { ...h('61'), 'plug.seat': 'gasket-fixed' }, [6, 'A6', 355], alsoKnownAs(8126102, '12G61NR')],
  ]),
];
