import type { HeadShape } from '@brackenfell/contract/shapes';
import type { Outline, Point } from './outline.ts';
import type { DrawnPlug } from './plug-outline.ts';
import { SHOULDER_PAST_THREAD_MM, TAPER_HALF_ANGLE, threadProfile } from './thread-profile.ts';

/** A plug drawn by itself, in no engine's head. */
export const NO_HEAD: HeadShape = {
  threadDiameterMm: null,
  threadPitchMm: null,
  headThreadMm: null,
  seat: null,
  wellBoreMm: null,
  pistonTopMm: null,
  lengthLimitMm: null,
};

export interface DrawnHead {
  /** Hatched halves of the head: above and below the plug. */
  readonly blocks: readonly Outline[];
  readonly threadMm: number;
  readonly topRadiusMm: number;
}

export const HEAD_RADIUS_MM = 15;
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
