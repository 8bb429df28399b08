import type { Say } from '../fitment/say.ts';

/** For wear alone one running hour counts as so many km. Gap and wear: Wear. */
export const KM_PER_HOUR = 50;

/** How an engine counts its service: a machine that stands has hours and no kilometres. */
export type CountsIn = 'distance' | 'hours';

/** The interval a plug's life is held against, km, and how the engine counts it. */
export function intervalOf(
  intervalKm: number | undefined,
  intervalHours: number | undefined,
): { readonly km: number | undefined; readonly countsIn: CountsIn } {
  return intervalHours === undefined
    ? { km: intervalKm, countsIn: 'distance' }
    : { km: intervalHours * KM_PER_HOUR, countsIn: 'hours' };
}

/** Computed hours are rounded down to ten. Service: Interval. */
const toTen = (hours: number): number => (hours < 10 ? Math.round(hours) : Math.floor(hours / 10 + 1e-9) * 10);

/** A distance as the engine counts it: hours for what stands, the reader's unit of distance for what drives. */
export const sayServed = (km: number, countsIn: CountsIn, say: Say): string =>
  countsIn === 'hours' ? `${toTen(km / KM_PER_HOUR).toLocaleString('en-GB')} h` : say.quantity('distance', km);

/** What a price is spread over: 10 000 km, or 1 000 running hours. */
export const PRICED_OVER: Readonly<Record<CountsIn, { readonly km: number; readonly says: string }>> = {
  distance: { km: 10_000, says: '10 000 km' },
  hours: { km: 1000 * KM_PER_HOUR, says: '1 000 h' },
};
