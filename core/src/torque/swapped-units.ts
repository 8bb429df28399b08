/** Two figures for one thing that look like the same number under another unit. */
export interface SwappedUnits {
  /** The larger over the smaller. */
  readonly ratio: number;
  readonly says: string;
}

/** Ratios of units that are taken for one another, and what was probably done. Torque: Swapped units. */
const SLIPS: readonly (readonly [ratio: number, says: string])[] = [
  [1.356, 'as if one figure were printed once in N·m and once in lbf·ft'],
  [1.838, 'as if it had been converted from lbf·ft twice'],
  [8.85, 'as if one figure were printed once in N·m and once in lbf·in'],
  [9.81, 'as if one figure were printed once in N·m and once in kgf·m'],
  [12, 'as if one figure were printed once in lbf·ft and once in lbf·in'],
];
const WITHIN = 0.03;

/** Whether two torques for one thing, mid to mid in N·m, lie apart as two units do. Undefined where they do not. Torque: Swapped units. */
export function swappedUnits(oneNm: number, otherNm: number): SwappedUnits | undefined {
  if (oneNm <= 0 || otherNm <= 0) return undefined;
  const ratio = Math.max(oneNm, otherNm) / Math.min(oneNm, otherNm);
  const slip = SLIPS.find(([of]) => Math.abs(ratio / of - 1) <= WITHIN + 1e-9);
  return slip && { ratio, says: slip[1] };
}
