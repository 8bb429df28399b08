import type { HeadShape, PlugShape } from '@brackenfell/contract/tray';

/**
 * The plug in its head, constructed in millimetres. x runs along the plug: 0 at the seat face, negative towards the
 * piston, positive towards the terminal. r is the distance from the axis. What is not known is left out of the solid
 * outline and drawn as an open, dashed part instead; nothing is ever filled in from a default.
 */
export type Point = readonly [xMm: number, rMm: number];
export type Outline = readonly Point[];

export interface Frame {
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Millimetres at the left edge. */
  readonly leftMm: number;
  /** Pixels from the top to the plug's axis. */
  readonly axisPx: number;
}

/** Pixel position of a point of the drawing; r positive is up. */
export function toPx({ scale, leftMm, axisPx }: Frame, [x, r]: Point): readonly [number, number] {
  return [Number(((x - leftMm) * scale).toFixed(1)), Number((axisPx - r * scale).toFixed(1))];
}

/** An SVG path of an outline. */
export function pathOf(frame: Frame, outline: Outline, closed = true): string {
  const points = outline.map((point) => toPx(frame, point).join(' '));
  return points.length === 0 ? '' : `M${points.join('L')}${closed ? 'Z' : ''}`;
}

const mirrored = (upper: Outline): Outline => [...upper, ...[...upper].reverse().map(([x, r]): Point => [x, -r])];

/** Depth of a 60° metric thread as a share of its pitch. */
const THREAD_DEPTH = 0.6134;
/** Half of the included angle of a taper seat, 63°. */
const TAPER_HALF_ANGLE = (31.5 * Math.PI) / 180;
const SHOULDER_PAST_THREAD_MM = 2.6;
const GASKET_MM = 1.3;
const HEX_HEIGHT_MM = 8.6;
const COLLAR_MM = 4.6;

export interface DrawnPlug {
  /** Filled outlines of what is known. */
  readonly metal: readonly Outline[];
  readonly ceramic: readonly Outline[];
  readonly gasket: Outline | null;
  readonly tip: Outline | null;
  readonly grounds: readonly Outline[];
  /** A ground electrode that stands in front of the tip: drawn over it. */
  readonly groundsInFront: readonly Outline[];
  /** Lines on the body: hex edges, helix crests, terminal thread. */
  readonly lines: readonly Outline[];
  /** Outlines of parts whose size is not known: dashed, with a question mark. */
  readonly dashed: readonly Outline[];
  /** What is not known, in words, with where to put the question mark. */
  readonly unknown: readonly { readonly what: string; readonly at: Point }[];
  /** Known extremes: shell end and deepest point below the seat (negative), top of the terminal. */
  readonly shellEndMm: number | null;
  readonly deepestMm: number | null;
  readonly topMm: number | null;
  readonly threadRadiusMm: number;
}

/** Male thread profile from one x to another; the lower flank lies half a pitch on, as on a real helix. */
function threadProfile(from: number, to: number, radius: number, pitch: number, side: 1 | -1): Point[] {
  const depth = THREAD_DEPTH * pitch;
  const root = radius - depth;
  const points: Point[] = [];
  let x = from - (side > 0 ? 0 : pitch / 2);
  points.push([x, side * root]);
  while (x - pitch / 2 > to + 0.2) {
    points.push(
      [x - pitch * 0.44, side * radius],
      [x - pitch * 0.56, side * radius],
      [Math.max(x - pitch, to), side * root],
    );
    x -= pitch;
  }
  points.push([to, side * (root - depth / 2)]);
  return points;
}

/** Upper half of the shell and hex above the seat face, from the seat outward. */
function shellTop(
  plug: PlugShape,
  threadRadius: number,
): { upper: Point[]; hexFrom: number; hexTo: number; hexRadius: number; crimpEnd: number; shoulder: number } {
  const shoulder = threadRadius + SHOULDER_PAST_THREAD_MM;
  const hexRadius = plug.hexMm === null ? shoulder : (plug.hexMm / 2) * 1.1547;
  const collar: Point[] =
    plug.seat === 'taper'
      ? [
          [0, threadRadius],
          [(shoulder - threadRadius) / Math.tan(TAPER_HALF_ANGLE), shoulder],
        ]
      : plug.seat === null
        ? []
        : [
            [0, shoulder],
            [2.6, shoulder],
          ];
  const hexFrom = COLLAR_MM;
  const hexTo = hexFrom + HEX_HEIGHT_MM;
  const neck = shoulder - 1.4;
  const crimpEnd = hexTo + 2;
  return {
    upper: [
      ...collar,
      [Math.max(3.4, (collar.at(-1)?.[0] ?? 0) + 0.4), neck],
      [hexFrom, neck],
      [hexFrom, hexRadius],
      [hexTo, hexRadius],
      [hexTo, neck],
      [crimpEnd, neck - 0.8],
    ],
    hexFrom,
    hexTo,
    hexRadius,
    crimpEnd,
    shoulder,
  };
}

const TERMINAL_MM = 8;

function insulatorUpper(from: number, top: number, radius: number): Point[] {
  const ribsEnd = top - TERMINAL_MM - 3;
  const ribs = Math.max(0, Math.min(5, Math.floor((ribsEnd - from - 3.8) / 3.6)));
  const points: Point[] = [[from, radius]];
  for (let i = 0; i < ribs; i += 1) {
    const at = from + 3.8 + i * 3.6;
    points.push([at, radius], [at + 0.5, radius - 0.7], [at + 2, radius - 0.7], [at + 2.5, radius]);
  }
  points.push(
    [top - TERMINAL_MM - 2.5, radius],
    [top - TERMINAL_MM - 0.6, radius - 1.2],
    [top - TERMINAL_MM, radius - 1.2],
  );
  return points;
}

/** The terminal by its form, from the insulator's end to the top. */
function terminalParts(form: PlugShape['terminal'], top: number): { metal: Outline; lines: Outline[] } | null {
  const from = top - TERMINAL_MM;
  switch (form) {
    case null:
      return null;
    case 'solid':
      return {
        metal: mirrored([
          [from, 2.2],
          [from + 1, 2.2],
          [from + 1, 3.2],
          [from + 3, 3.2],
          [from + 3.6, 2.3],
          [from + 5.1, 2.3],
          [from + 5.7, 3.2],
          [top - 0.7, 3.2],
          [top, 2.5],
        ]),
        lines: [],
      };
    case 'nut': {
      const knurls = [-2.1, -0.7, 0.7, 2.1].map((r): Outline => [
        [from + 2.4, r],
        [top - 0.6, r],
      ]);
      return {
        metal: mirrored([
          [from, 2],
          [from + 1.6, 2],
          [from + 1.6, 3.3],
          [from + 4, 3.3],
          [from + 4.6, 2.7],
          [from + 5.4, 2.7],
          [from + 6, 3.3],
          [top, 3.3],
        ]),
        lines: [
          [
            [from + 1.6, 3.3],
            [from + 1.6, -3.3],
          ],
          ...knurls,
        ],
      };
    }
    case 'stud': {
      const crests = Array.from({ length: 8 }, (_, i): Outline => [
        [from + 1 + i * 0.8, 2],
        [from + 0.6 + i * 0.8, -2],
      ]);
      return {
        metal: mirrored([
          [from, 2],
          [top - 0.6, 2],
          [top, 1.5],
        ]),
        lines: crests,
      };
    }
    case 'cup':
      return {
        metal: [
          [from, 2],
          [from + 2, 2],
          [from + 2, 4],
          [top, 4],
          [top, 3],
          [from + 3, 3],
          [from + 3, -3],
          [top, -3],
          [top, -4],
          [from + 2, -4],
          [from + 2, -2],
          [from, -2],
        ],
        lines: [],
      };
  }
}

interface FiringEnd {
  readonly nose: Outline | null;
  readonly tip: Outline | null;
  readonly grounds: Outline[];
  readonly inFront: Outline[];
  readonly deepest: number;
}

/** The firing end below the shell: nose, tip and one to four grounds of the form it has. Every size must be known. */
function firingEnd(plug: PlugShape, end: number, radius: number): FiringEnd | null {
  const { projectionMm, groundForm, groundCount, gapMm, groundThicknessMm, tipMm } = plug;
  if (
    projectionMm === null ||
    groundForm === null ||
    groundCount === null ||
    gapMm === null ||
    groundThicknessMm === null
  )
    return null;
  const tipRadius = (tipMm ?? 1) / 2;
  const face = end - projectionMm;
  const noseEnd = Math.min(end, face + 1.3);
  const nose: Outline | null =
    noseEnd < end
      ? [
          [end, radius * 0.47],
          [noseEnd, radius * 0.3],
          [noseEnd, -radius * 0.3],
          [end, -radius * 0.47],
        ]
      : null;
  const tip: Outline = [
    [noseEnd + 0.01, tipRadius],
    [face, tipRadius],
    [face, -tipRadius],
    [noseEnd + 0.01, -tipRadius],
  ];
  if (groundForm === 'surface') return { nose, tip, grounds: [], inFront: [], deepest: face };
  const inner = radius * 0.61;
  const outer = radius * 0.82;
  const sides: (1 | -1)[] = groundCount === 1 ? [-1] : [-1, 1];
  if (groundForm === 'side') {
    const reachIn = tipRadius + gapMm;
    const bar = (side: 1 | -1): Outline => [
      [end, side * outer],
      [face, side * outer],
      [face, side * reachIn],
      [face + groundThicknessMm, side * reachIn],
      [face + groundThicknessMm, side * inner],
      [end, side * inner],
    ];
    const front: Outline[] =
      groundCount >= 3
        ? [
            [
              [end, 1.2],
              [face, 1.2],
              [face, -1.2],
              [end, -1.2],
            ],
          ]
        : [];
    return { nose, tip, grounds: sides.map(bar), inFront: front, deepest: face };
  }
  const near = face - gapMm;
  const deepest = near - groundThicknessMm;
  const past = groundCount === 1 ? 1.1 : -0.4;
  const strap = (side: 1 | -1): Outline => [
    [end, side * inner],
    [near, side * inner],
    [near, -side * past],
    [deepest, -side * past],
    [deepest, side * (outer - 0.7)],
    [deepest + 0.7, side * outer],
    [end, side * outer],
  ];
  const front: Outline[] =
    groundCount >= 3
      ? [
          [
            [end, 1.2],
            [deepest, 1.2],
            [deepest, -1.2],
            [end, -1.2],
          ],
        ]
      : [];
  return { nose, tip, grounds: sides.map(strap), inFront: front, deepest };
}

/** A plug of any form that occurs, from its facts alone. */
export function drawPlug(plug: PlugShape): DrawnPlug {
  const dashed: Outline[] = [];
  const unknown: { what: string; at: Point }[] = [];
  const lines: Outline[] = [];
  const metal: Outline[] = [];
  const radius = (plug.threadDiameterMm ?? 14) / 2;
  const pitch = plug.threadPitchMm ?? 1.25;
  const top = shellTop(plug, radius);

  const end = plug.reachMm === null ? null : -plug.reachMm;
  const threadKnown = plug.threadDiameterMm !== null && plug.threadPitchMm !== null;
  if (!threadKnown) unknown.push({ what: 'thread', at: [end === null ? -6 : end / 2, radius + 1.5] });
  if (end === null) {
    unknown.push({ what: 'reach', at: [-9, 0] });
    dashed.push(
      [
        [0, radius],
        [-16, radius],
      ],
      [
        [0, -radius],
        [-16, -radius],
      ],
    );
  } else {
    const threadTo = plug.threadedLengthMm === null ? end : -plug.threadedLengthMm;
    const upper = threadProfile(0, threadTo, radius, pitch, 1);
    const lower = threadProfile(0, threadTo, radius, pitch, -1);
    const plainR = radius - THREAD_DEPTH * pitch * 1.5;
    const plain: Outline =
      threadTo > end
        ? [
            [end, plainR],
            [end, -plainR],
          ]
        : [];
    const shank: Outline = [...upper, ...plain, ...[...lower].reverse()];
    if (threadKnown) metal.push(shank);
    else dashed.push(shank);
    for (let x = -pitch / 2; x - pitch / 2 > threadTo; x -= pitch)
      lines.push([
        [x, radius - 0.1],
        [x - pitch / 2, -radius + 0.1],
      ]);
  }

  const seatKnown = plug.seat !== null;
  if (!seatKnown) {
    dashed.push(
      mirrored([
        [0, top.shoulder],
        [3.4, top.shoulder],
      ]),
    );
    unknown.push({ what: 'seat', at: [1.2, top.shoulder + 1.5] });
  }
  const body = mirrored(top.upper);
  if (plug.hexMm === null) {
    dashed.push(body);
    unknown.push({ what: 'hex', at: [(top.hexFrom + top.hexTo) / 2, 0] });
  } else {
    metal.push(body);
    lines.push(
      [
        [top.hexFrom, top.hexRadius * 0.5],
        [top.hexTo, top.hexRadius * 0.5],
      ],
      [
        [top.hexFrom, -top.hexRadius * 0.5],
        [top.hexTo, -top.hexRadius * 0.5],
      ],
    );
  }

  const ceramic: Outline[] = [];
  const insulatorRadius = Math.min(5.4, radius * 0.78);
  if (plug.lengthMm === null) {
    dashed.push(
      mirrored([
        [top.crimpEnd, insulatorRadius],
        [top.crimpEnd + 14, insulatorRadius],
      ]),
    );
    unknown.push({ what: 'length', at: [top.crimpEnd + 8, 0] });
  } else {
    ceramic.push(mirrored(insulatorUpper(top.crimpEnd, plug.lengthMm, insulatorRadius)));
    const terminal = terminalParts(plug.terminal, plug.lengthMm);
    if (terminal) {
      metal.push(terminal.metal);
      lines.push(...terminal.lines);
    } else {
      dashed.push(
        mirrored([
          [plug.lengthMm - TERMINAL_MM, 2.5],
          [plug.lengthMm, 2.5],
        ]),
      );
      unknown.push({ what: 'terminal', at: [plug.lengthMm - 4, 0] });
    }
  }

  const fire = end === null ? null : firingEnd(plug, end, radius);
  if (end !== null && !fire) {
    dashed.push([
      [end, radius * 0.8],
      [end - 4, radius * 0.8],
      [end - 4, -radius * 0.8],
      [end, -radius * 0.8],
    ]);
    unknown.push({ what: 'firing end', at: [end - 2, 0] });
  }
  if (fire?.nose) ceramic.push(fire.nose);
  const gasket: Outline | null =
    plug.seat === 'gasket-fixed' || plug.seat === 'gasket-loose'
      ? mirrored([
          [0, top.shoulder + 0.4],
          [GASKET_MM, top.shoulder + 0.4],
        ])
      : null;
  return {
    metal,
    ceramic,
    gasket,
    tip: fire?.tip ?? null,
    grounds: fire?.grounds ?? [],
    groundsInFront: fire?.inFront ?? [],
    lines,
    dashed,
    unknown,
    shellEndMm: end,
    deepestMm: fire ? fire.deepest : null,
    topMm: plug.lengthMm,
    threadRadiusMm: radius,
  };
}

export interface DrawnHead {
  /** Hatched halves of the head: above and below the plug. */
  readonly blocks: readonly Outline[];
  readonly threadMm: number;
  readonly topRadiusMm: number;
}

const HEAD_RADIUS_MM = 15;
const WELL_DEPTH_MM = 40;

/** The head in section: threaded hole, seat, plug well. Null when its thread length is not known. */
export function drawHead(head: HeadShape): DrawnHead | null {
  const { threadDiameterMm, threadPitchMm, headThreadMm, seat, wellBoreMm } = head;
  if (threadDiameterMm === null || headThreadMm === null) return null;
  const radius = threadDiameterMm / 2;
  const pitch = threadPitchMm ?? 1.25;
  const shoulder = radius + SHOULDER_PAST_THREAD_MM;
  const topRadius = Math.max(HEAD_RADIUS_MM, (wellBoreMm ?? 0) / 2 + 3, radius + 7);
  const coneLength = (shoulder - radius) / Math.tan(TAPER_HALF_ANGLE);
  const block = (side: 1 | -1): Outline => {
    const hole = threadProfile(0, -headThreadMm, radius, pitch, side);
    const chamber: Point[] = [
      [-headThreadMm, side * radius],
      [-headThreadMm, side * topRadius],
    ];
    const seatEdge: Point[] = seat === 'taper' ? [[coneLength, side * (shoulder + 0.2)]] : [[0, side * radius]];
    const outward: Point[] =
      wellBoreMm === null
        ? [[seat === 'taper' ? coneLength : 0, side * topRadius]]
        : [
            [WELL_DEPTH_MM, side * topRadius],
            [WELL_DEPTH_MM, (side * wellBoreMm) / 2],
            [seat === 'taper' ? coneLength : 0, (side * wellBoreMm) / 2],
          ];
    return [...hole, ...chamber, ...outward, ...seatEdge];
  };
  return { blocks: [block(1), block(-1)], threadMm: headThreadMm, topRadiusMm: topRadius };
}

/** The part of the shell that stands in the chamber past the head's thread. */
export function protrusion(plug: DrawnPlug, headThreadMm: number): Outline | null {
  if (plug.shellEndMm === null || plug.shellEndMm > -headThreadMm - 0.05) return null;
  const r = plug.threadRadiusMm;
  return [
    [-headThreadMm, r],
    [plug.shellEndMm, r],
    [plug.shellEndMm, -r],
    [-headThreadMm, -r],
  ];
}

/** One frame for a whole tray, so that nothing jumps from row to row. */
export function frameFor(
  plugs: readonly DrawnPlug[],
  head: HeadShape,
  size: { widthPx: number; heightPx: number },
): Frame {
  const deepest = Math.max(
    head.crownMm ?? 0,
    ...plugs.map((p) => -(p.deepestMm ?? p.shellEndMm ?? -16)),
    head.headThreadMm ?? 0,
  );
  const top = Math.max(45, head.lengthLimitMm ?? 0, ...plugs.map((p) => p.topMm ?? 0));
  const longest = Math.max(head.headThreadMm ?? 0, ...plugs.map((p) => -(p.shellEndMm ?? 0)));
  // Room to the left for the piston, and for the words that say how much too long a plug is.
  const leftMm = -Math.max(deepest + 7, longest + 19);
  const radius = (drawHead(head)?.topRadiusMm ?? HEAD_RADIUS_MM) + 1;
  const scale = Math.min((size.widthPx - 6) / (top + 5 - leftMm), (size.heightPx - 102) / (2 * radius));
  return {
    scale,
    leftMm: leftMm - Math.max(0, (size.widthPx / scale - (top + 5 - leftMm)) / 2),
    axisPx: 50 + (size.heightPx - 102) / 2,
  };
}
