/** One way to serve an engine over a distance: a set, its work each time, and how long it lasts. Money in minor units. */
export interface ServedBy {
  readonly setMinor: number;
  readonly labourMinor: number;
  readonly lastsKm: number;
}

/** What it comes to. Nothing is taken back for what remains at the end. */
export interface CostOver {
  readonly changes: number;
  readonly partsMinor: number;
  readonly labourMinor: number;
  readonly totalMinor: number;
  readonly perTenThousandKmMinor: number;
}

/** Over so far where nobody says, km. Service: Cost. */
export const USUAL_HORIZON_KM = 60_000;
const PER_KM = 10_000;

/** Parts and labour to the horizon: the first change is now, and one more each time it is worn before the end. Service: Cost. */
export function costOver({ setMinor, labourMinor, lastsKm }: ServedBy, horizonKm: number): CostOver {
  const changes = Math.max(1, Math.ceil(horizonKm / lastsKm - 1e-9));
  const [parts, labour] = [changes * setMinor, changes * labourMinor];
  return {
    changes,
    partsMinor: parts,
    labourMinor: labour,
    totalMinor: parts + labour,
    perTenThousandKmMinor: Math.round(((parts + labour) / horizonKm) * PER_KM),
  };
}
