import {
  alsoKnownAs,
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  family,
  FIXED,
  heat,
  LONG_12,
  NICKEL,
  OLD_14,
  R5,
  SHORT_14,
  SLIM_14,
  TAPER_18,
} from './family.ts';

const h = heat('hollin-bray');
/** Four grounds beside the tip; their gap is as made. */
const FOUR_SIDE = { 'plug.groundCount': 4, 'plug.groundForm': 'side', 'plug.gapAdjust': FIXED } as const;

/** Hollin & Bray: numbers rise hotter. Reach, heat, tip code and ground count. */
export const hollinBray = [
  ...family('hollin-bray', { ...SLIM_14, ...DOUBLE_PLATINUM, 'plug.gapMm': 1.1 }, [
    [
      'HB/19/45.D1',
      h('45'),
      [4, 'C1', 885],
      {
        ...alsoKnownAs(5194501),
        // A wholesaler's list says otherwise than the maker: the maker rules, and the editor is told.
        extra: [{ source: { rank: 'supplier', name: 'Eastgate list' }, facts: { 'plug.reachMm': 17.5 } }],
      },
    ],
    ['HB/19/40.D1', h('40'), [9, 'C1', 885]],
    ['HB/19/50.D1', h('50'), [3, 'C1', 885]],
    // Its maker publishes neither the tip's projection nor anything else of the firing end.
    [
      'HB/19/45.D2',
      { ...h('45'), 'plug.groundCount': 2, 'plug.gapAdjust': FIXED, 'plug.projectionMm': undefined },
      [2, 'C1', 960],
    ],
    ['HB/19/45.P1', { ...h('45'), 'plug.projectionMm': 3.2 }, [5, 'C2', 905]],
    ['HB/19/45.R1', { ...h('45'), 'plug.projectionMm': 0.8 }, [2, 'C2', 905]],
    ['HB/19/45.L1', { ...h('45'), 'plug.seat': 'gasket-loose' }, [3, 'C2', 870]],
    ['HB/19/45.C1', { ...h('45'), ...NICKEL, 'plug.supply': { state: 'discontinued' } }, [3, 'C3', 290]],
    ['HB/19/45.C3', { ...h('45'), ...NICKEL, ...FOUR_SIDE, 'plug.groundCount': 3, 'plug.gapMm': 1 }, [2, 'C3', 410]],
  ]),
  ...family('hollin-bray', { ...SLIM_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.65 }, [
    ['HB/19/40.J1', h('40'), [6, 'C4', 1290], alsoKnownAs(5194003)],
    ['HB/19/35.J1', h('35'), [6, 'C4', 1290]],
    ['HB/19/45.J1', h('45'), [2, 'C4', 1290]],
    ['HB/19/40.J4', { ...h('40'), ...FOUR_SIDE }, [4, 'C4', 1510]],
  ]),
  ...family('hollin-bray', { ...LONG_12, ...DOUBLE_IRIDIUM }, [
    ['HB/26S/45.J1', h('45'), [6, 'C5', 1360], alsoKnownAs(5264503)],
    ['HB/26S/40.J1', h('40'), [3, 'C5', 1360]],
    ['HB/26S/45.P1', { ...h('45'), 'plug.projectionMm': 3.2 }, [4, 'C5', 1395]],
    ['HB/26S/45.C1', { ...h('45'), ...NICKEL }, [9, 'C5', 405]],
  ]),
  ...family('hollin-bray', OLD_14, [
    ['HB/12/55.C1', h('55'), [14, 'C6', 250], alsoKnownAs(5125501)],
    ['HB/12/60.C1', h('60'), [4, 'C6', 250]],
    ['HB/12/50.C1', h('50'), [6, 'C6', 250]],
    ['HB/12/55.C2', { ...h('55'), 'plug.groundCount': 2, 'plug.gapAdjust': FIXED }, [2, 'C6', 330]],
    ['HB/19/55.C1', { ...h('55'), 'plug.reachMm': 19 }, [8, 'C7', 270], alsoKnownAs(5195501)],
  ]),
  ...family('hollin-bray', SHORT_14, [
    ['HB/9/55.C1', h('55'), [16, 'C8', 235], alsoKnownAs(5095501)],
    ['HB/9/60.C1', h('60'), [5, 'C8', 235]],
    ['HB/9/50.C1', h('50'), [5, 'C8', 235]],
    ['HB/9/55.S1', { ...h('55'), ...R5 }, [2, 'C8', 255]],
  ]),
  ...family('hollin-bray', TAPER_18, [
    ['HB/12T/50.C1', h('50'), [18, 'C9', 345], alsoKnownAs(5125002)],
    ['HB/12T/45.C1', h('45'), [6, 'C9', 345]],
    ['HB/12T/55.C1', h('55'), [6, 'C9', 345]],
    ['HB/12T/50.C2', { ...h('50'), 'plug.groundCount': 2, 'plug.gapAdjust': FIXED }, [4, 'C9', 420]],
  ]),
];
