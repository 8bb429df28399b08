import { readBarcode } from '../part-numbers/barcode.ts';
import { foldKey } from '../part-numbers/fold-key.ts';
import { normalForm } from '../part-numbers/normal-form.ts';

/** Where a number is read: on the box, stamped on the piece, or from its barcode. */
export const NUMBER_PLACES = ['box', 'stamping', 'barcode'] as const;
export type NumberPlace = (typeof NUMBER_PLACES)[number];

/** A part that bears a number, as far as the catalogue knows. */
export interface NumberBearer {
  readonly partId: string;
  readonly printed: string;
  readonly maker: string;
  /** Revision of a coil; null where there is none. */
  readonly revision: string | null;
}

export interface PartNames {
  readonly partId: string;
  /** Every name of the part as printed. */
  readonly names: readonly string[];
}

export interface NumberRow {
  readonly place: NumberPlace;
  readonly printed: string;
  readonly outcome: 'agrees' | 'worn' | 'contradicts' | 'not-known';
  readonly says: string;
}

/** Shortest stamping that is taken for a part of a longer number. */
const SHORTEST_STAMPING = 4;

/**
 * A number read from a piece or its box against the part it is sold as. `bearers` are the parts that have exactly this
 * number; undefined while nobody could look it up. A number of another part contradicts, an unknown one says nothing.
 */
export function numberAgainstPart(
  place: NumberPlace,
  printed: string,
  part: PartNames,
  bearers: readonly NumberBearer[] | undefined,
): NumberRow {
  const row = (outcome: NumberRow['outcome'], says: string): NumberRow => ({ place, printed, outcome, says });
  const asked = normalForm(printed);
  if (asked === '') return row('not-known', 'Nothing legible.');
  if (place === 'barcode') {
    const read = readBarcode(printed);
    if (read.kind === 'wrong-check-digit')
      return row('not-known', `Its check digit should be ${read.expected}: scan it again.`);
  }
  const names = part.names.map((name) => normalForm(name));
  if (names.includes(asked)) return row('agrees', 'The number of this part.');
  if (place === 'stamping' && asked.length >= SHORTEST_STAMPING && names.some((name) => name.includes(asked)))
    return row('agrees', 'Part of this part’s number.');
  const others = (bearers ?? []).filter(({ partId }) => partId !== part.partId);
  if ((bearers ?? []).some(({ partId }) => partId === part.partId)) return row('agrees', 'The number of this part.');
  if (others.length > 0)
    return row('contradicts', `The number of ${others.map(({ printed: other, maker }) => `${other}, ${maker}`)[0]!}.`);
  const fold = foldKey(printed);
  if (part.names.some((name) => foldKey(name) === fold))
    return row('worn', 'This part’s number, read through look-alikes.');
  return bearers === undefined
    ? row('not-known', 'Not looked up yet.')
    : row('not-known', 'No part here has this number.');
}
