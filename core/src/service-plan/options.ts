import { costOver, type CostOver, type ServedBy } from './cost-over.ts';

/** One plug that could serve, with what a set of it costs and how long it is agreed to last. */
export interface ServiceOption extends Omit<ServedBy, 'labourMinor'> {
  readonly id: string;
  readonly printed: string;
}

export interface CostedOption extends ServiceOption {
  readonly cost: CostOver;
}

/** The options by what they come to at the horizon, the cheapest first; of equals the longer-lived. Service: Cost. */
export const compareOptions = (
  options: readonly ServiceOption[],
  labourMinor: number,
  horizonKm: number,
): readonly CostedOption[] =>
  options
    .map((option) => ({ ...option, cost: costOver({ ...option, labourMinor }, horizonKm) }))
    .sort((a, b) => a.cost.totalMinor - b.cost.totalMinor || b.lastsKm - a.lastsKm);

/** Money spent after so far: a step at each change, the first at once. */
export const spentAfter = (option: ServiceOption, labourMinor: number, km: number): number =>
  costOver({ ...option, labourMinor }, Math.max(km, 1)).totalMinor;

/** As far as break-even is looked for, km. */
const FARTHEST_KM = 400_000;

/**
 * From which distance on one option never costs more than the other, up to 400 000 km; undefined where it never comes to
 * that. Both spend in steps, so it is looked for where either is changed. Service: Cost.
 */
export function paysFromKm(option: ServiceOption, against: ServiceOption, labourMinor: number): number | undefined {
  const changes = [option, against].flatMap(({ lastsKm }) =>
    Array.from({ length: Math.ceil(FARTHEST_KM / lastsKm) }, (_, i) => i * lastsKm + 1),
  );
  const places = [...new Set(changes)].filter((km) => km <= FARTHEST_KM).sort((a, b) => a - b);
  const costsMore = (km: number) => spentAfter(option, labourMinor, km) > spentAfter(against, labourMinor, km);
  const lastDearer = places.findLastIndex(costsMore);
  if (lastDearer === -1) return 0;
  const next = places[lastDearer + 1];
  return next === undefined ? undefined : next - 1;
}
