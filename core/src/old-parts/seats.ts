import type { EnginePlan } from '../engine-plan/engine-plan.ts';

/** Where a plug sits: its cylinder, and which of the cylinder's plugs it is where it has more than one. */
export interface Seat {
  readonly cylinder: number;
  readonly place?: string | undefined;
}

export const isSameSeat = (one: Seat, other: Seat): boolean =>
  one.cylinder === other.cylinder && one.place === other.place;

export const saySeat = ({ cylinder, place }: Seat): string =>
  place === undefined ? String(cylinder) : `${cylinder} ${place}`;

/** Every plug of an engine once, by cylinder: builds that share a place share its seat. */
export function seatsOf(
  positions: readonly { readonly cylinder: number; readonly place: string }[],
  { firingOrder }: EnginePlan,
): readonly Seat[] {
  return [...firingOrder]
    .sort((a, b) => a - b)
    .flatMap((cylinder): Seat[] => {
      const places = new Set(positions.filter((one) => one.cylinder === cylinder).map(({ place }) => place));
      return places.size > 1 ? [...places].map((place) => ({ cylinder, place })) : [{ cylinder }];
    });
}

/** A seat of a reading that the engine does not have, in words; undefined where it has all of them. */
export const strangeSeat = (plugs: readonly Seat[], seats: readonly Seat[]): string | undefined => {
  const strange = plugs.find((one) => !seats.some((seat) => isSameSeat(one, seat)));
  return strange && saySeat(strange);
};
