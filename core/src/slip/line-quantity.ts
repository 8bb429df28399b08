import type { PartKind } from '../facts/part-kinds.ts';
import { counted } from '../words/counted.ts';

/** Pieces that one line takes at most. */
export const MOST_PIECES = 999;

/** How a part serves the job on a slip; undefined where it was not judged, for no engine is known. */
export interface Serving {
  readonly placesServed: number;
  readonly engines: number;
  /** The shop's rule gives a spare with the plugs. */
  readonly withSpare: boolean;
}

/**
 * How many are put down where nobody says: one for each place served in each engine of the job, in whole packs where it is
 * sold in packs of `packOf`. Slips: Quantities.
 */
export function usualQuantity(kind: PartKind, serving: Serving | undefined, packOf = 1): number {
  if (!serving) return packOf;
  const places = serving.placesServed * serving.engines;
  const asked = kind === 'plug' && serving.withSpare ? places + 1 : places;
  return inPacks(asked, packOf);
}

/** Pieces in whole packs of so many. */
export const inPacks = (pieces: number, packOf: number): number => Math.ceil(pieces / packOf) * packOf;

/** Why so many cannot be sold of what comes in packs, with what can. Slips: Quantities. */
export function packAmiss(pieces: number, packOf: number): string | undefined {
  if (pieces % packOf === 0) return undefined;
  const more = inPacks(pieces, packOf);
  const fewer = more - packOf;
  return `Sold in packs of ${packOf}: ${fewer > 0 ? `${fewer} or ` : ''}${more}.`;
}

/**
 * Why a kit is no set for a job: it holds fewer or more of a part than the job takes. Nothing while no engine is known, and
 * of what no engine asks for. `holds` is for all its engines. Slips: Quantities.
 */
export function kitAmiss(holds: number, serving: Serving | undefined, part: string, kit: string): string | undefined {
  if (!serving) return undefined;
  const takes = serving.placesServed * serving.engines;
  return holds === takes
    ? undefined
    : `${kit} holds ${holds} of ${part}, the job takes ${takes}: put its parts down one by one.`;
}

export type Counting =
  | { readonly kind: 'new-line'; readonly quantity: number }
  | { readonly kind: 'counted-up'; readonly quantity: number }
  | { readonly kind: 'already-there'; readonly says: string }
  | { readonly kind: 'too-many'; readonly says: string };

/**
 * What putting pieces of a part on a slip makes of its line. A part that stands on it already is counted up only where that is
 * meant: a second press of a key is no second set.
 */
export function countOn(standing: number | undefined, quantity: number, meansMore: boolean): Counting {
  if (standing === undefined) return { kind: 'new-line', quantity };
  if (!meansMore)
    return {
      kind: 'already-there',
      says: `${counted(standing, 'is', 'are')} on it: count the line up, or say that as many more are meant.`,
    };
  const more = standing + quantity;
  return more > MOST_PIECES
    ? { kind: 'too-many', says: `A line takes at most ${counted(MOST_PIECES, 'piece')}.` }
    : { kind: 'counted-up', quantity: more };
}
