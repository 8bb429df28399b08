import type { TellDrawing } from '@brackenfell/contract/tell-drawing';

/** The field a tell is drawn in: 96 wide, 84 high, the plug's or coil's axis in the middle. */
export const TELL_WIDTH = 96;
export const TELL_HEIGHT = 84;

export type TellInk = 'part' | 'line' | 'mark' | 'pale' | 'dark';

export interface TellPath {
  readonly d: string;
  readonly ink: TellInk;
  readonly widthPx?: number;
  readonly dash?: string;
}

export interface TellText {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** Print weight, 0 to 1. */
  readonly weight: number;
  readonly ink: 'line' | 'mark';
}

export interface TellPicture {
  readonly paths: readonly TellPath[];
  readonly texts: readonly TellText[];
}

const MID = TELL_WIDTH / 2;
const round = (value: number): number => Number(value.toFixed(1));
const part = (d: string): TellPath => ({ d, ink: 'part' });
const line = (d: string, widthPx = 1): TellPath => ({ d, ink: 'line', widthPx });

/** Hex seen from the side, three flats, with its corners' chamfer. */
function hex(top: number, arc: number): TellPath[] {
  const [left, right, height] = [14, 82, 22];
  const third = (right - left) / 4;
  const edges = [left, left + third, right - third, right];
  const dip = 6 * arc;
  const over = edges
    .slice(0, -1)
    .map(
      (from, i) =>
        `Q${round((from + edges[i + 1]!) / 2)} ${round(top - dip)} ${edges[i + 1]!} ${round(top + dip * 0.6)}`,
    )
    .join('');
  const d = `M${left} ${round(top + dip * 0.6)}${over}V${top + height}H${left}Z`;
  return [
    part(d),
    line(
      edges
        .slice(1, -1)
        .map((x) => `M${round(x)} ${round(top + dip * 0.6)}V${top + height}`)
        .join(''),
      0.8,
    ),
  ];
}

const PICTURES: { [F in TellDrawing['form']]: (of: Extract<TellDrawing, { form: F }>) => TellPicture } = {
  print: ({ weight, broken, offset }) => ({
    paths: [
      part(`M30 2H66V52H30Z`),
      ...hex(52, 0.5),
      { d: `M${MID} 0V80`, ink: 'mark', widthPx: 0.8, dash: '5 2 1 2' },
      // A print that is broken shows gaps through its letters.
      ...(broken ? [{ d: 'M30 18.5H66M30 27H66M30 37H66', ink: 'pale' as const, widthPx: 2.2 }] : []),
    ],
    texts: [
      { text: 'BKF', x: MID + offset * 13, y: 22, weight, ink: 'line' },
      { text: '·19·', x: MID + offset * 13, y: 38, weight, ink: 'line' },
    ],
  }),
  crown: ({ dome }) => {
    const top = 22 - 14 * dome;
    return {
      paths: [
        part(`M34 26Q${MID} ${round(top * 2 - 26)} 62 26V44H34Z`),
        part('M39 44H57V52H39ZM32 52H64V60H32ZM40 60H56V80H40Z'),
        ...(dome < 0.2 ? [{ d: 'M33 25H63', ink: 'mark' as const, widthPx: 2.2 }] : []),
      ],
      texts: [],
    };
  },
  chamfer: ({ arc }) => ({
    paths: [part('M34 4H62V30H34Z'), ...hex(32, arc), part('M22 54H74V66H22Z')],
    texts: [],
  }),
  shoulder: ({ lines }) => ({
    paths: [
      part('M14 4H82V24H14ZM22 24H74V60H22ZM30 60H66V80H30Z'),
      line(
        Array.from({ length: lines }, (_, i) => `M22 ${round(26 + ((i + 0.5) * 34) / Math.max(1, lines))}H74`).join(''),
        lines > 7 ? 0.5 : 1.6,
      ),
    ],
    texts: [],
  }),
  ribs: ({ roundness }) => {
    const rib = (y: number) =>
      roundness > 0.5 ? `C${62 + 14} ${y + 1} ${62 + 14} ${y + 13} 62 ${y + 14}` : `H74V${y + 7}H62V${y + 14}`;
    const left = (y: number) =>
      roundness > 0.5 ? `C${34 - 14} ${y + 13} ${34 - 14} ${y + 1} 34 ${y}` : `V${y + 7}H22V${y}H34`;
    const ys = [8, 24, 40, 56];
    return {
      paths: [
        part(
          `M34 4H62${ys.map((y) => `V${y}${rib(y)}`).join('')}V78H34${[...ys]
            .reverse()
            .map((y) => `V${y + 14}${left(y)}`)
            .join('')}Z`,
        ),
      ],
      texts: [],
    };
  },
  weld: ({ bead }) => ({
    paths: [
      part('M16 4H72V20H16Z'),
      part('M26 20H36V52Q36 60 44 60H70V69H40Q26 69 26 52Z'),
      part('M52 20H60V44H52Z'),
      ...(bead > 0
        ? [
            {
              d: `M${round(20 - bead * 3)} 22Q31 ${round(14 - bead * 4)} ${round(44 + bead * 3)} 22Q31 ${round(28 + bead * 5)} ${round(20 - bead * 3)} 22Z`,
              ink: 'pale' as const,
            },
            {
              d: `M${round(20 - bead * 3)} 22Q31 ${round(14 - bead * 4)} ${round(44 + bead * 3)} 22Q31 ${round(28 + bead * 5)} ${round(20 - bead * 3)} 22Z`,
              ink: 'mark' as const,
              widthPx: 1.6,
            },
          ]
        : []),
    ],
    texts: [],
  }),
  gasket: ({ held }) => ({
    paths: [
      part('M14 6H82V26H14ZM32 26H64V80H32Z'),
      ...(held
        ? [{ d: 'M22 27H32V36H22ZM64 27H74V36H64Z', ink: 'dark' as const }]
        : [
            { d: 'M18 48H30V56H18ZM66 48H78V56H66Z', ink: 'dark' as const },
            { d: 'M24 30V43M21 40L24 44L27 40M72 30V43M69 40L72 44L75 40', ink: 'mark' as const, widthPx: 1.2 },
          ]),
      line('M32 40L64 44M32 50L64 54M32 60L64 64M32 70L64 74', 0.6),
    ],
    texts: [],
  }),
  plating: ({ sheen }) => ({
    paths: [
      part('M18 8H78V38H18ZM30 38H66V78H30Z'),
      sheen > 0.5
        ? { d: 'M24 8L20 38M34 8L30 38M52 8L50 38M66 8L66 38M38 38L36 78M56 38L56 78', ink: 'mark', widthPx: 1.6 }
        : { d: 'M20 14H76M20 20H76M20 26H76M20 32H76M32 46H64M32 54H64M32 62H64M32 70H64', ink: 'pale', widthPx: 0.9 },
    ],
    texts: [],
  }),
  code: ({ text, engraved }) => ({
    paths: [
      part('M8 22H88V64H8Z'),
      engraved
        ? { d: 'M14 32H82V54H14Z', ink: 'pale', widthPx: 1.2 }
        : { d: 'M14 56H82', ink: 'line', widthPx: 0.6, dash: '1.5 2.5' },
    ],
    texts: [{ text, x: MID, y: 48, weight: engraved ? 0.45 : 0.8, ink: 'line' }],
  }),
  box: ({ crispness }) => ({
    paths: [
      part('M14 20L50 10L84 20V66L50 78L14 66Z'),
      line('M14 20L50 30L84 20M50 30V78', 0.9),
      ...(crispness > 0.5
        ? []
        : [{ d: 'M20 43L44 50M21 53L44 60M20 45L44 52M21 55L44 62', ink: 'mark' as const, widthPx: 0.8 }]),
      line('M20 41L44 48M20 51L44 58M56 48L78 41M56 58L78 51', crispness > 0.5 ? 1.8 : 1),
    ],
    texts: [],
  }),
  seal: ({ whole }) => ({
    paths: [
      part('M14 24L50 14L84 24V68L50 80L14 68Z'),
      line('M14 24L50 34L84 24M50 34V80', 0.9),
      whole
        ? { d: 'M36 19L60 26V40L36 33Z', ink: 'dark' }
        : { d: 'M26 16L66 27V42L26 31ZM32 18L60 40M26 24L66 35', ink: 'mark', widthPx: 1.4 },
    ],
    texts: [],
  }),
  boot: ({ seam }) => ({
    paths: [
      part('M38 4H58V22H62V66Q62 78 48 78Q34 78 34 66V22H38Z'),
      line('M34 34H62M34 46H62M34 58H62', 0.6),
      ...(seam > 0
        ? [
            {
              d: `M${round(48 + 4 * seam)} 22Q${round(51 + 4 * seam)} 48 ${round(48 + 4 * seam)} 76`,
              ink: 'mark' as const,
              widthPx: round(0.8 + 1.6 * seam),
            },
          ]
        : []),
    ],
    texts: [],
  }),
  potting: ({ level }) => {
    const top = round(66 - 40 * level);
    return {
      paths: [
        part('M18 18H26V70H70V18H78V78H18Z'),
        { d: `M26 ${top}H70V70H26Z`, ink: level > 0.8 ? 'dark' : 'pale' },
        ...(level > 0.8
          ? []
          : [
              {
                d: `M36 ${top + 6}a3 3 0 1 0 .1 0M52 ${top + 10}a4 4 0 1 0 .1 0M62 ${top + 5}a2 2 0 1 0 .1 0`,
                ink: 'mark' as const,
                widthPx: 1.2,
              },
            ]),
      ],
      texts: [],
    };
  },
  connector: ({ lock }) => ({
    paths: [
      part('M18 30H78V70H18Z'),
      part('M28 42H40V60H28ZM56 42H68V60H56Z'),
      lock ? part('M38 30V18H58V30ZM42 18V12H54V18Z') : part('M38 30V24H58V30Z'),
      ...(lock ? [] : [{ d: 'M36 23H60', ink: 'mark' as const, widthPx: 2 }]),
    ],
    texts: [],
  }),
  meter: ({ low, high, at }) => {
    const x = (share: number) => round(10 + share * 76);
    const outside = (share: number) => share < low || share > high;
    return {
      paths: [
        { d: `M${x(low)} 26H${x(high)}V58H${x(low)}Z`, ink: 'pale' },
        line('M10 58H86', 1.2),
        line(Array.from({ length: 9 }, (_, i) => `M${x(i / 8)} 58V${i % 4 === 0 ? 66 : 62}`).join(''), 0.8),
        ...at.map((share): TellPath => ({
          d: `M${x(share)} 30V58`,
          ink: outside(share) ? 'mark' : 'line',
          widthPx: 2.4,
        })),
      ],
      texts: [],
    };
  },
};

/** A tell's picture from its form and parameters: Brackenfell's own drawings, not to scale. */
export function drawTell(drawing: TellDrawing): TellPicture {
  return (PICTURES[drawing.form] as (of: TellDrawing) => TellPicture)(drawing);
}
