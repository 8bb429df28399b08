import type { PlugEntry, PlugFacts } from '@brackenfell/contract/catalogue-file';
import {
  adjustable,
  DOUBLE_IRIDIUM,
  DOUBLE_PLATINUM,
  FIXED,
  LONG_12,
  makersOwn,
  NICKEL,
  R5,
  SLIM_14,
} from './family.ts';

/** One heat level in each maker's own code. The levels are those an engine maker's rating is crossed to. */
const LEVELS = {
  57: { kestrane: '57', 'hollin-bray': '60', ivorix: 'F', tamsel: '3' },
  59: { kestrane: '59', 'hollin-bray': '55', ivorix: 'E', tamsel: '4' },
  61: { kestrane: '61', 'hollin-bray': '50', ivorix: 'D', tamsel: '5' },
  63: { kestrane: '63', 'hollin-bray': '45', ivorix: 'C', tamsel: '6' },
  65: { kestrane: '65', 'hollin-bray': '40', ivorix: 'B', tamsel: '7' },
  67: { kestrane: '67', 'hollin-bray': '35', ivorix: 'A', tamsel: '8' },
} as const;
type Level = keyof typeof LEVELS;

interface Line {
  readonly facts: PlugFacts;
  readonly levels: readonly Level[];
  /** A number of each maker's scheme with `#` for its heat code; Tamsel's are counted on from a stock number. */
  readonly kestrane: string;
  readonly hollinBray: string;
  readonly ivorix: string;
  readonly tamselFrom: number;
  readonly bin: string;
  readonly priceMinor: number;
}

/** M12 × 1.25 with 26.5 mm reach, set close for a boosted engine. */
const BOOSTED_12: PlugFacts = { ...LONG_12, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.55 };
const LONG_14 = { ...SLIM_14, 'plug.reachMm': 26.5, 'plug.lengthMm': 54 } as const;
/** M12 × 1.25 between the short and the long slim form. */
const MIDDLE_12: PlugFacts = {
  ...LONG_12,
  ...DOUBLE_IRIDIUM,
  'plug.reachMm': 22,
  'plug.hexPoints': 6,
  'plug.lengthMm': 52,
  'plug.gapMm': 1.05,
};
/** The long-shell form of the two-valve four; its shell is of two pieces and seizes. */
const DEEP_14: PlugFacts = {
  ...SLIM_14,
  ...DOUBLE_PLATINUM,
  'plug.reachMm': 38,
  'plug.lengthMm': 62,
  'plug.gapMm': 1.15,
  'plug.projectionMm': 2.2,
};
const TAPER_14: PlugFacts = {
  ...SLIM_14,
  ...DOUBLE_IRIDIUM,
  'plug.seat': 'taper',
  'plug.reachMm': 17.5,
  'plug.lengthMm': 49,
  'plug.gapMm': 0.6,
  'plug.projectionMm': 1.6,
};

/** What every maker sells for the same hole, heat by heat. Its groups are crossed to each other in the makers' lists. */
const LINES: readonly Line[] = [
  {
    facts: BOOSTED_12,
    levels: [63, 65, 67],
    kestrane: 'KN 226G-#KR',
    hollinBray: 'HB/26S/#.K1',
    ivorix: 'IVX-#26-K05',
    tamselFrom: 320,
    bin: 'F1',
    priceMinor: 1490,
  },
  {
    facts: { ...SLIM_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 0.85 },
    levels: [63, 65, 67],
    kestrane: 'KN 419G-#GR',
    hollinBray: 'HB/19/#.G1',
    ivorix: 'IVX-#19-G08',
    tamselFrom: 260,
    bin: 'F2',
    priceMinor: 1180,
  },
  {
    facts: MIDDLE_12,
    levels: [59, 61, 63, 65],
    kestrane: 'KN 222G-#IR',
    hollinBray: 'HB/22S/#.J1',
    ivorix: 'IVX-#22S-J10',
    tamselFrom: 520,
    bin: 'F3',
    priceMinor: 1520,
  },
  {
    facts: { ...LONG_14, ...DOUBLE_IRIDIUM, 'plug.gapMm': 1, 'plug.lifeKm': 160_000 },
    levels: [59, 61, 63, 65],
    kestrane: 'KN 426G-#IR',
    hollinBray: 'HB/26/#.J1',
    ivorix: 'IVX-#26L-J10',
    tamselFrom: 530,
    bin: 'F4',
    priceMinor: 1460,
  },
  {
    facts: DEEP_14,
    levels: [59, 61, 63],
    kestrane: 'KN 438G-#DR',
    hollinBray: 'HB/38/#.D1',
    ivorix: 'IVX-#38-D11',
    tamselFrom: 540,
    bin: 'F5',
    priceMinor: 1690,
  },
  {
    facts: {
      ...SLIM_14,
      ...NICKEL,
      'plug.reachMm': 17.5,
      'plug.hexMm': 20.8,
      'plug.lengthMm': 49,
      'plug.gapMm': 0.95,
      'plug.projectionMm': 1.4,
    },
    levels: [57, 59, 61],
    kestrane: 'KN 417G-#NR',
    hollinBray: 'HB/17/#.C1',
    ivorix: 'IVX-#17-N09',
    tamselFrom: 550,
    bin: 'F6',
    priceMinor: 320,
  },
  {
    facts: TAPER_14,
    levels: [57, 59, 61],
    kestrane: 'KN 417T-#IR',
    hollinBray: 'HB/17V/#.J1',
    ivorix: 'IVX-#17V-J06',
    tamselFrom: 560,
    bin: 'F7',
    priceMinor: 1740,
  },
  {
    facts: { ...LONG_12, ...DOUBLE_PLATINUM, 'plug.reachMm': 19, 'plug.lengthMm': 50, 'plug.gapMm': 0.8 },
    levels: [61, 63, 65],
    kestrane: 'KN 219G-#DR',
    hollinBray: 'HB/19S/#.D1',
    ivorix: 'IVX-#19S-D08',
    tamselFrom: 330,
    bin: 'F8',
    priceMinor: 1020,
  },
  {
    facts: { ...SLIM_14, ...NICKEL, 'plug.gapMm': 0.65, 'plug.projectionMm': 1 },
    levels: [65, 67],
    kestrane: 'KN 419G-#SR',
    hollinBray: 'HB/19/#.S1',
    ivorix: 'IVX-#19-N06',
    tamselFrom: 270,
    bin: 'F9',
    priceMinor: 480,
  },
  {
    facts: { ...SLIM_14, ...DOUBLE_PLATINUM, 'plug.gapMm': 0.95 },
    levels: [61, 63, 65],
    kestrane: 'KN 419G-#PR',
    hollinBray: 'HB/19/#.B1',
    ivorix: 'IVX-#19-P09',
    tamselFrom: 570,
    bin: 'F10',
    priceMinor: 985,
  },
  {
    facts: { ...SLIM_14, ...NICKEL, 'plug.gapMm': 0.8 },
    levels: [61],
    kestrane: 'KN 419G-#NR',
    hollinBray: 'HB/19/#.C1',
    ivorix: 'IVX-#19-N08',
    tamselFrom: 280,
    bin: 'F9',
    priceMinor: 300,
  },
];

const MAKERS = ['kestrane', 'hollin-bray', 'ivorix', 'tamsel'] as const;

function numberOf(line: Line, maker: (typeof MAKERS)[number], level: Level, place: number): string {
  const code = LEVELS[level][maker];
  if (maker === 'tamsel') return `TS 500 ${line.tamselFrom + place}`;
  const pattern = { kestrane: line.kestrane, 'hollin-bray': line.hollinBray, ivorix: line.ivorix }[maker];
  return pattern.replace('#', code);
}

/** The numbers of one line at one heat level, one of each maker: what the makers' lists call equal. */
export const lineGroups: readonly (readonly string[])[] = LINES.flatMap((line) =>
  line.levels.map((level, place) => MAKERS.map((maker) => numberOf(line, maker, level, place))),
);

/** Neighbouring heat levels of one line, which the makers' lists give as alternatives. */
export const lineNeighbours: readonly (readonly [string, string])[] = LINES.flatMap((line) =>
  line.levels
    .slice(1)
    .flatMap((level, i) =>
      MAKERS.map((maker): [string, string] => [
        numberOf(line, maker, level, i + 1),
        numberOf(line, maker, line.levels[i]!, i),
      ]),
    ),
);

const isTwoPiece = (number: string): boolean => number.startsWith('KN 438') || number.startsWith('TS 500 54');

export const linePlugs: readonly PlugEntry[] = LINES.flatMap((line, lineAt) =>
  line.levels.flatMap((level, place) =>
    MAKERS.map((maker, makerAt): PlugEntry => {
      const number = numberOf(line, maker, level, place);
      return {
        maker,
        number,
        facts: {
          ...makersOwn(maker, line.facts),
          ...line.facts,
          'plug.heat': { maker, code: LEVELS[level][maker] },
          ...(isTwoPiece(number) ? { 'plug.shell': 'two-piece' } : {}),
        },
        onHand: (lineAt * 5 + place * 3 + makerAt * 2) % 13,
        bin: `${line.bin}${makerAt + 1}`,
        priceMinor: line.priceMinor - [0, 45, -30, 210][makerAt]!,
      };
    }),
  ),
);

/** A no-resistor twin of the rally plug: alike but for what the class list forbids. */
export const rallyTwin: PlugEntry = {
  maker: 'kestrane',
  number: 'KN 419G-67S',
  facts: {
    ...makersOwn('kestrane', SLIM_14),
    ...SLIM_14,
    ...NICKEL,
    'plug.gapMm': 0.65,
    'plug.projectionMm': 1,
    'plug.resistor': { kind: 'none' },
    'plug.heat': { maker: 'kestrane', code: '67' },
    'plug.gapAdjust': adjustable(0.3),
  },
  onHand: 6,
  bin: 'F91',
  priceMinor: 470,
};

/** A surface-gap plug some rally engines were sold with once. */
export const rallySurface: PlugEntry = {
  maker: 'ivorix',
  number: 'IVX-A19-S08',
  facts: {
    ...makersOwn('ivorix', SLIM_14),
    ...SLIM_14,
    ...NICKEL,
    ...R5,
    'plug.gapMm': 0.85,
    'plug.groundForm': 'surface',
    'plug.gapAdjust': FIXED,
    'plug.heat': { maker: 'ivorix', code: 'A' },
  },
  onHand: 4,
  bin: 'F93',
  priceMinor: 760,
};
