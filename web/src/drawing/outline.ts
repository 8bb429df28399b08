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

/** An outline and its mirror image below the axis. */
export const mirrored = (upper: Outline): Outline => [
  ...upper,
  ...[...upper].reverse().map(([x, r]): Point => [x, -r]),
];
