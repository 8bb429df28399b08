/** Why a thing that the job bares is spoken of: it was seen, it is due, or it is only within reach. */
export const APART_STANDINGS = ['seen', 'due', 'within-reach'] as const;
export type ApartStanding = (typeof APART_STANDINGS)[number];

/** A thing that only this job bares. */
export interface BaredThing {
  readonly says: string;
  /** The engine maker's own interval for it. */
  readonly everyKm?: number | undefined;
}

/**
 * What is said of a thing that lies bare while the engine is apart. What is merely within reach is shown when it is asked
 * for, and never sold unasked. Distances in km; `distanceKm` is undefined where nobody has read it. Service: While apart.
 */
export function whileApart(
  { says, everyKm }: BaredThing,
  { distanceKm, seen }: { readonly distanceKm: number | undefined; readonly seen: readonly string[] },
  sayDistance: (km: number) => string,
): { readonly standing: ApartStanding; readonly why: string } {
  if (seen.includes(says)) return { standing: 'seen', why: 'Seen worn or broken on this vehicle.' };
  if (everyKm === undefined) return { standing: 'within-reach', why: 'Bare now, and not asked for by any interval.' };
  const every = `The engine maker renews it every ${sayDistance(everyKm)}`;
  if (distanceKm === undefined) return { standing: 'within-reach', why: `${every}; how far it has run is not known.` };
  return distanceKm >= everyKm
    ? { standing: 'due', why: `${every}; it has run ${sayDistance(distanceKm)}. Ask when it was last done.` }
    : { standing: 'within-reach', why: `${every}; it has run ${sayDistance(distanceKm)}.` };
}
