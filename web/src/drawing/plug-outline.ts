import type { PlugShape } from '@brackenfell/contract/shapes';
import { firingEnd } from './firing-end.ts';
import { mirrored, type Outline, type Point } from './outline.ts';
import { SHOULDER_PAST_THREAD_MM, TAPER_HALF_ANGLE, THREAD_DEPTH, threadProfile } from './thread-profile.ts';

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
