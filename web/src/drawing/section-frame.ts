import type { HeadShape } from '@brackenfell/contract/shapes';
import { drawHead, HEAD_RADIUS_MM } from './head-outline.ts';
import type { Frame } from './outline.ts';
import type { DrawnPlug } from './plug-outline.ts';

/** One frame for a whole tray, so that nothing jumps from row to row. */
export function frameFor(
  plugs: readonly DrawnPlug[],
  head: HeadShape,
  size: { widthPx: number; heightPx: number },
): Frame {
  const deepest = Math.max(
    head.pistonTopMm ?? 0,
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
