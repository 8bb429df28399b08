/** A torque wrench by its scale, N·m. */
export interface Wrench {
  readonly lowNm: number;
  readonly highNm: number;
}

/** An extension in line with the handle, by its angle to it; one that stands at right angles changes nothing. Lengths in mm. */
export interface Extension {
  /** From the middle of the drive to the mark where it is gripped. */
  readonly leverMm: number;
  readonly extensionMm: number;
  /** Between extension and handle: 0 in line and away from it, 90 at right angles, 180 folded back. */
  readonly angleDeg: number;
}

/** Under this share of its top figure a wrench is not true. Torque: Wrench. */
const LEAST_SHARE = 0.2;
/** With the lever shortened to this share or less the reading means nothing. Torque: Wrench. */
const LEAST_LEVER = 0.5;

export type WrenchAnswer =
  | { readonly kind: 'set'; readonly setNm: number }
  | { readonly kind: 'below-scale' | 'above-scale' | 'low-on-scale'; readonly setNm: number }
  /** The extension shortens the lever to half or less. */
  | { readonly kind: 'lever-too-short' };

/** What a wrench is set to so that so much arrives at the plug: T · L / (L + E · cos θ). Undefined past what is allowed. Torque: Wrench. */
export function settingFor(torqueNm: number, { leverMm, extensionMm, angleDeg }: Extension): number | undefined {
  const effectiveMm = leverMm + extensionMm * Math.cos((angleDeg * Math.PI) / 180);
  return effectiveMm <= leverMm * LEAST_LEVER + 1e-9 ? undefined : (torqueNm * leverMm) / effectiveMm;
}

/** Whether a wrench can give a torque, and what it is set to. Torque: Wrench. */
export function askWrench(torqueNm: number, wrench: Wrench, extension?: Extension): WrenchAnswer {
  const setNm = extension ? settingFor(torqueNm, extension) : torqueNm;
  if (setNm === undefined) return { kind: 'lever-too-short' };
  if (setNm > wrench.highNm + 1e-9) return { kind: 'above-scale', setNm };
  if (setNm < wrench.lowNm - 1e-9) return { kind: 'below-scale', setNm };
  if (setNm < wrench.highNm * LEAST_SHARE - 1e-9) return { kind: 'low-on-scale', setNm };
  return { kind: 'set', setNm };
}
