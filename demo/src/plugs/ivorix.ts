import {
  alsoKnownAs,
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  family,
  FIXED,
  heat,
  LONG_12,
  OLD_14,
  SHORT_14,
  SINGLE_IRIDIUM,
  SLIM_14,
  TAPER_18,
} from './family.ts';

const h = heat('ivorix');
const LONG_LIFE = { ...DOUBLE_PLATINUM, 'plug.lifeKm': 100_000 } as const;

/** Ivorix: heat in letters, A the coldest; reach, tip family, gap in tenths. */
export const ivorix = [
  ...family('ivorix', { ...SLIM_14, ...LONG_LIFE, 'plug.gapMm': 1.1 }, [
    ['IVX-C19-D11', h('C'), [8, 'D3', 1120], alsoKnownAs(6190301)],
    ['IVX-C19-D09', { ...h('C'), 'plug.gapMm': 0.95 }, [6, 'D3', 1090]],
    ['IVX-C19-D13', { ...h('C'), 'plug.gapMm': 1.3 }, [4, 'D3', 1130]],
    ['IVX-B19-D11', h('B'), [3, 'D3', 1120]],
    ['IVX-D19-D11', h('D'), [3, 'D3', 1120]],
    ['IVX-C19-F10', { ...h('C'), ...SINGLE_IRIDIUM, 'plug.gapMm': 1.05 }, [14, 'D4', 680], alsoKnownAs(6190302)],
    ['IVX-C19-F06', { ...h('C'), ...SINGLE_IRIDIUM, 'plug.gapMm': 0.6, 'plug.gapAdjust': FIXED }, [2, 'D4', 690]],
  ]),
  ...family('ivorix', { ...SLIM_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.65 }, [
    ['IVX-B19-J06', h('B'), [12, 'D5', 1390], alsoKnownAs(6190203)],
    ['IVX-A19-J06', h('A'), [6, 'D5', 1390]],
    ['IVX-C19-J06', h('C'), [3, 'D5', 1390]],
    ['IVX-B19-F06', { ...h('B'), ...SINGLE_IRIDIUM }, [6, 'D5', 790]],
  ]),
  ...family('ivorix', { ...LONG_12, ...DOUBLE_IRIDIUM }, [
    ['IVX-C26-J07', h('C'), [12, 'D6', 1480], alsoKnownAs(6260303)],
    ['IVX-B26-J07', h('B'), [3, 'D6', 1480]],
    ['IVX-D26-J07', h('D'), [3, 'D6', 1480]],
    ['IVX-C26-F07', { ...h('C'), ...SINGLE_IRIDIUM }, [6, 'D6', 860]],
  ]),
  ...family('ivorix', OLD_14, [
    ['IVX-E12-N07', h('E'), [9, 'D7', 245], alsoKnownAs(6120501)],
    ['IVX-D12-N07', h('D'), [4, 'D7', 245]],
    ['IVX-E12-F07', { ...h('E'), ...SINGLE_IRIDIUM }, [4, 'D7', 560]],
  ]),
  ...family('ivorix', SHORT_14, [
    ['IVX-E09-N06', h('E'), [6, 'D8', 230], alsoKnownAs(6090501)],
    ['IVX-E09-S06', { ...h('E'), 'plug.groundForm': 'surface', 'plug.gapAdjust': FIXED }, [2, 'D8', 310]],
  ]),
  ...family('ivorix', TAPER_18, [
    ['IVX-D12T-N09', h('D'), [9, 'D9', 335], alsoKnownAs(6120402)],
    ['IVX-D12T-F09', { ...h('D'), ...SINGLE_IRIDIUM }, [3, 'D9', 610]],
    ['IVX-D12G-N09', { ...h('D'), 'plug.seat': 'gasket-fixed' }, [4, 'D9', 335]],
  ]),
];
