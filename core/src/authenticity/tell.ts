/** What a sign belongs to: the piece itself, or what it came in. Packaging never counts as a physical group. */
export const TELL_ASPECTS = ['physical', 'packaging'] as const;
export type TellAspect = (typeof TELL_ASPECTS)[number];

/** Where on the part a tell is looked for. */
export const TELL_PLACES = [
  'terminal',
  'ribs',
  'print',
  'hex',
  'shoulder',
  'gasket',
  'thread',
  'ground',
  'boot',
  'connector',
  'potting',
  'body',
  'box',
] as const;
export type TellPlace = (typeof TELL_PLACES)[number];

/** Quantities a piece is measured for, in the unit of the name. */
export const MEASURED_IDS = [
  'reachMm',
  'lengthMm',
  'hexMm',
  'threadMm',
  'gapMm',
  'resistorKohm',
  'weightG',
  'primaryOhm',
] as const;
export type MeasuredId = (typeof MEASURED_IDS)[number];

/** A tell answered by a reading: differs where the reading lies further than the tolerance from what is expected. */
export interface TellMeasure {
  readonly quantity: MeasuredId;
  /** `catalogue`: the part's own recorded figure. Otherwise the maker's figure, in the quantity's unit. */
  readonly nominal: number | 'catalogue';
  /** Absolute, in the quantity's unit. */
  readonly tolerance: number;
}

/**
 * One observable sign that separates genuine from fake, of one maker and one packaging generation: there is no general
 * rule. Proof: Reference.
 */
export interface Tell {
  readonly id: string;
  readonly title: string;
  /** Signs that share a cause share a group, and with it one cap. */
  readonly group: string;
  readonly aspect: TellAspect;
  readonly place: TellPlace;
  /** What to look at, and how. */
  readonly look: string;
  readonly genuine: string;
  readonly suspect: string;
  /** Chance that it differs on a genuine and on a fake piece; both above 0 and below 1. */
  readonly differs: { readonly ifGenuine: number; readonly ifFake: number };
  /** Where the two chances come from. */
  readonly source: string;
  readonly minutes: number;
  /** Chance that it can be seen at all at a counter. */
  readonly seen: number;
  /** Left out for a tell judged by eye. */
  readonly measure?: TellMeasure | undefined;
}

export const TELL_ANSWERS = ['genuine-like', 'differs', 'cannot-see'] as const;
export type TellAnswer = (typeof TELL_ANSWERS)[number];

/**
 * How much likelier an answer is on a fake than on a genuine piece, as a natural logarithm; 0 when nothing could be seen.
 * Uncapped.
 */
export function logRatioOf({ differs }: Pick<Tell, 'differs'>, answer: TellAnswer): number {
  if (answer === 'cannot-see') return 0;
  return answer === 'differs'
    ? Math.log(differs.ifFake / differs.ifGenuine)
    : Math.log((1 - differs.ifFake) / (1 - differs.ifGenuine));
}

/** What a reading says about a measured tell. `nominal` is the figure expected, in the quantity's unit. */
export function answerOfReading(reading: number, nominal: number, tolerance: number): 'genuine-like' | 'differs' {
  return Math.abs(reading - nominal) <= tolerance + 1e-9 ? 'genuine-like' : 'differs';
}
