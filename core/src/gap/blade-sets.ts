const THOU_MM = 0.0254;

const stepped = (from: number, to: number, by: number): number[] =>
  Array.from({ length: Math.round((to - from) / by) + 1 }, (_, i) => Number((from + i * by).toFixed(2)));

/** A set of feeler blades as it is commonly sold; `bladesMm` in mm, whatever is engraved on them. */
export interface BladeSet {
  readonly id: 'metric' | 'thou';
  readonly says: string;
  readonly bladesMm: readonly number[];
  /** What is engraved on a blade. */
  readonly engraved: (mm: number) => string;
}

/** The usual sets, until a shop says which blades it owns. Gap and wear: Feelers. */
export const BLADE_SETS: readonly BladeSet[] = [
  {
    id: 'metric',
    says: 'metric, 0.05 to 1.00 mm in twentieths',
    bladesMm: stepped(0.05, 1, 0.05),
    engraved: (mm) => `${mm.toFixed(2)} mm`,
  },
  {
    id: 'thou',
    says: 'inch, 2 to 25 thou in ones, 28, 32 and 35',
    bladesMm: [...stepped(2, 25, 1), 28, 32, 35].map((thou) => thou * THOU_MM),
    engraved: (mm) => `${Math.round(mm / THOU_MM)} thou`,
  },
];
