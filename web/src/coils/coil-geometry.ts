import type { CoilShape, HeadShape, PlugShape } from '@brackenfell/contract/shapes';

/** Room above the cover for the coil's body and its connector, mm. */
const BODY_MM = 34;
/** Room below the seat where the plug's reach is not known, and past its end. */
const REACH_MM = 20;
const END_ROOM_MM = 12;

export interface CoilInWell {
  readonly scale: number;
  readonly leftMm: number;
  readonly axisPx: number;
  /** Where the plug's top stands above its seat, mm; null while unknown. */
  readonly plugTopMm: number | null;
  /** The face of the cover on which the coil is screwed. */
  readonly coverMm: number | null;
  /** Where the picked coil's contact ends when it is screwed down. */
  readonly contactMm: number | null;
  /** Positive: a gap the spark must jump before the plug; negative: pressed together. */
  readonly gapMm: number | null;
}

/** A coil on its plug in the well, to scale: all along the plug's axis from its seat. */
export function coilInWell(
  coil: CoilShape,
  asked: CoilShape,
  plug: PlugShape | null,
  size: { readonly widthPx: number; readonly heightPx: number },
): CoilInWell {
  const plugTopMm = plug?.lengthMm ?? null;
  const coverMm = plugTopMm === null || asked.bootLengthMm === null ? null : plugTopMm + asked.bootLengthMm;
  const contactMm = coverMm === null || coil.bootLengthMm === null ? null : coverMm - coil.bootLengthMm;
  const gapMm = contactMm === null || plugTopMm === null ? null : Number((contactMm - plugTopMm).toFixed(2));
  const leftRoomMm = (plug?.reachMm ?? REACH_MM) + END_ROOM_MM;
  const spanMm = (coverMm ?? 180) + BODY_MM + leftRoomMm;
  const scale = Math.min((size.widthPx - 8) / spanMm, (size.heightPx - 60) / 44);
  return {
    scale,
    leftMm: -leftRoomMm - Math.max(0, ((size.widthPx - 8) / scale - spanMm) / 2),
    axisPx: size.heightPx / 2 + 4,
    plugTopMm,
    coverMm,
    contactMm,
    gapMm,
  };
}

/** Half the width of the well, as known or as usual for drawing alone. */
export const wellRadiusMm = (head: HeadShape): number => (head.wellBoreMm ?? 24) / 2;

export interface PackPlan {
  readonly scale: number;
  readonly bodyMm: readonly [width: number, height: number];
  /** Towers and holes from the body's middle, mm. */
  readonly towers: readonly (readonly [number, number])[];
  readonly holes: readonly (readonly [number, number])[];
}

/** A pack or can seen from above: its towers in a row and its mounting holes at their distance. */
export function packPlan(shape: CoilShape, size: { readonly widthPx: number; readonly heightPx: number }): PackPlan {
  const spacing = shape.mounting?.spacingMm ?? 0;
  const width = Math.max(70, spacing + 18);
  const towers = shape.towers ?? 0;
  const holes = shape.mounting?.holes ?? 0;
  const pitch = Math.min(22, (width - 24) / Math.max(1, towers));
  return {
    scale: Math.min((size.widthPx * 0.46) / width, (size.heightPx - 40) / 62),
    bodyMm: [width, 44],
    towers: Array.from({ length: towers }, (_, i) => [(i - (towers - 1) / 2) * pitch, 4] as const),
    holes: Array.from(
      { length: holes },
      (_, i) => [holes === 1 ? 0 : -spacing / 2 + (spacing * i) / (holes - 1), -16] as const,
    ),
  };
}
