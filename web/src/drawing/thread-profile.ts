import type { Point } from './outline.ts';

/** Depth of a 60° metric thread as a share of its pitch. */
export const THREAD_DEPTH = 0.6134;
/** Half of the included angle of a taper seat, 63°. */
export const TAPER_HALF_ANGLE = (31.5 * Math.PI) / 180;
/** How far the seat's shoulder stands out past the thread. */
export const SHOULDER_PAST_THREAD_MM = 2.6;

/** Male thread profile from one x to another; the lower flank lies half a pitch on, as on a real helix. */
export function threadProfile(from: number, to: number, radius: number, pitch: number, side: 1 | -1): Point[] {
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
