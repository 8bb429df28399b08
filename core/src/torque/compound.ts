/** What is on a thread while it is tightened. */
export const LUBRICANTS = ['dry', 'oil', 'anti-seize'] as const;
export type Lubricant = (typeof LUBRICANTS)[number];

/** Nut factor of T = K·F·d: how much of the torque friction eats. Torque: Compound. */
const NUT_FACTOR: Readonly<Record<Lubricant, number>> = { dry: 0.2, oil: 0.15, 'anti-seize': 0.13 };

/** The share of a dry torque that gives the same clamp with this on the thread. Torque: Compound. */
export const cutFor = (used: Lubricant): number => NUT_FACTOR[used] / NUT_FACTOR.dry;

export interface Tightened {
  /** What the sheet means, N·m, and on what thread it means it. */
  readonly meantNm: number;
  readonly meantOn: Lubricant;
  readonly setNm: number;
  readonly usedOn: Lubricant;
}

/**
 * Clamp over what was intended: a torque rounded up and compound on the thread multiply. 1 is as intended. Torque: Slips
 * multiply.
 */
export const clampOverIntended = ({ meantNm, meantOn, setNm, usedOn }: Tightened): number =>
  (setNm / meantNm) * (NUT_FACTOR[meantOn] / NUT_FACTOR[usedOn]);

/** So far from what was intended, either way, nothing is said: a wrench and a thread scatter by as much. */
const AS_MEANT = 0.1;

/** What comes of a clamp so far from what was intended. */
export function sayClamp(clamp: number): { readonly word: 'as-meant' | 'over' | 'under'; readonly says: string } {
  if (clamp > 1 + AS_MEANT)
    return {
      word: 'over',
      says: 'Too much: the shell stretches, the insulator may crack, and the way the heat leaves changes.',
    };
  if (clamp < 1 - AS_MEANT)
    return { word: 'under', says: 'Too little: gas leaks past the seat, and the plug overheats and works loose.' };
  return { word: 'as-meant', says: 'As the sheet means it.' };
}
