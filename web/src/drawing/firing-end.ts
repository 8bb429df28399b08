import type { PlugShape } from '@brackenfell/contract/shapes';
import type { Outline } from './outline.ts';

export interface FiringEnd {
  readonly nose: Outline | null;
  readonly tip: Outline | null;
  readonly grounds: Outline[];
  readonly inFront: Outline[];
  readonly deepest: number;
}

/** The firing end below the shell: nose, tip and one to four grounds of the form it has. Every size must be known. */
export function firingEnd(plug: PlugShape, end: number, radius: number): FiringEnd | null {
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
