import { printAmount } from '../words/money.ts';
import type { RecordedFactId } from '../facts/facts.ts';
import type { ColumnUse } from './columns.ts';
import type { ReadRow } from './read-row.ts';
import { agree, FACTS_OF, sayStated, statedIn, statedOf, STATING_USES, type StatingUse } from './stated.ts';

/** Where a row of a list comes to lie. Nothing is written of what is invalid or doubtful. */
export const HEAPS = ['invalid', 'doubtful', 'new', 'changed', 'same'] as const;
export type Heap = (typeof HEAPS)[number];

/** What is held of the part that a row speaks of. */
export interface Ours {
  /** What this supplier took the last time, and our own price; minor units before tax. */
  readonly netMinor: number | null;
  readonly ourMinor: number | null;
  readonly packOf: number;
  readonly barcodes: readonly string[];
  readonly facts: HeldFacts;
}
/** What rules of a part, as it is recorded, with its source. */
export type HeldFacts = Readonly<Partial<Record<RecordedFactId, { readonly value: unknown; readonly source: string }>>>;

/** The number that a row calls equal. */
export interface Equal {
  readonly isHeld: boolean;
  /** Parts of several makers answer to it. */
  readonly isShared: boolean;
  /** The list's own word for it is already kept. */
  readonly isSaid: boolean;
  /** What the two parts' dimensions say against it. */
  readonly contradicts: string | undefined;
}

export interface Change {
  readonly what: ColumnUse;
  readonly ours: string | null;
  readonly theirs: string;
}

export interface SortedRow {
  readonly heap: Heap;
  readonly changes: readonly Change[];
  readonly why: readonly string[];
}

interface Against {
  /** Undefined where no part has the number. */
  readonly ours: Ours | undefined;
  /** Parts of several makers answer to the number, and the row names none of them. */
  readonly isShared: boolean;
  /** Undefined where the row names none. */
  readonly equal: Equal | undefined;
  readonly isMakerHeld: boolean;
  /** The part is a plug, or would be. */
  readonly isPlug: boolean;
  /** Ratings of its maker's heat scale; undefined where they have none here. */
  readonly ratings: ReadonlySet<string> | undefined;
}

/** So many times dearer or cheaper, a point was lost or gained before the price changed so. */
const LOST_POINT = 8;
const percent = (ours: number, theirs: number): string => {
  const by = ((theirs - ours) / ours) * 100;
  return `${Math.abs(by).toFixed(1)}% ${by > 0 ? 'dearer' : 'cheaper'}`;
};

/**
 * Lays a row beside what is held and says where it belongs and why. A list fills blanks and raises questions; a figure that
 * is held is never overridden by it. Source: shop, A shop's own catalogue.
 */
export function sortRow(row: ReadRow, against: Against): SortedRow {
  const { ours, isShared, equal, isMakerHeld } = against;
  if (row.invalid.length > 0) return { heap: 'invalid', changes: [], why: row.invalid };
  if (isShared)
    return { heap: 'doubtful', changes: [], why: ['parts of several makers have this number: whose is it?'] };
  const why = [...row.doubtful];
  const changes: Change[] = [];
  const priced = (what: 'net-price' | 'our-price', held: number | null, theirs: number | undefined) => {
    if (theirs === undefined || theirs === held) return;
    changes.push({ what, ours: held === null ? null : printAmount(held), theirs: printAmount(theirs) });
    if (held === null) return;
    const times = Math.max(theirs / held, held / theirs);
    if (times >= LOST_POINT) why.push(`${times.toFixed(0)} times: a lost point?`);
  };
  priced('net-price', ours?.netMinor ?? null, row.netMinor);
  priced('our-price', ours?.ourMinor ?? null, row.ourMinor);
  const heldPack = ours?.packOf ?? 1;
  if (row.packOf !== undefined && row.packOf !== heldPack) {
    changes.push({ what: 'pack', ours: String(heldPack), theirs: String(row.packOf) });
    // A pack stands beside a price of ours.
    if (row.ourMinor === undefined && (ours?.ourMinor ?? null) === null)
      why.push(`packs of ${row.packOf}, where we have no price: give it with one`);
  }
  if (row.barcode !== undefined && !ours?.barcodes.includes(row.barcode))
    changes.push({ what: 'barcode', ours: ours?.barcodes[0] ?? null, theirs: row.barcode });
  if (!against.isPlug && statedOf(row).length > 0)
    why.push('states what is stated of a plug, and the part is none: leave the column out');
  else
    for (const use of STATING_USES) {
      const found = besideHeld(use, row, against);
      if (typeof found === 'string') why.push(found);
      else if (found) changes.push(found);
    }
  if (row.equalTo !== undefined && equal !== undefined) {
    if (!equal.isHeld) why.push(`equal to ${row.equalTo}, which nobody here holds`);
    else if (equal.isShared) why.push(`equal to ${row.equalTo}, which several makers have: whose is meant?`);
    else if (!equal.isSaid) changes.push({ what: 'equal-to', ours: null, theirs: row.equalTo });
    if (equal.isHeld && !equal.isShared && !equal.isSaid && equal.contradicts)
      why.push(`called equal, but ${equal.contradicts}`);
  }
  if (!ours && !isMakerHeld)
    why.push(row.maker === undefined ? 'a new number needs its maker' : `no maker called ${row.maker} is known here`);
  if (why.length > 0) return { heap: 'doubtful', changes, why };
  if (!ours) return { heap: 'new', changes, why: [] };
  return changes.length === 0
    ? { heap: 'same', changes, why: [] }
    : { heap: 'changed', changes, why: dearer(row, ours) };
}

/** What one column states beside what is held: a change where it fills a blank, a question where it is denied. */
function besideHeld(use: StatingUse, row: ReadRow, { ours, ratings }: Against): Change | string | undefined {
  const stated = statedIn(row, use);
  if (stated.length === 0) return undefined;
  const held = FACTS_OF[use].flatMap((fact) => {
    const one = ours?.facts[fact];
    return one ? [{ fact, ...one }] : [];
  });
  const rated = row.told?.heat?.[0]?.[1] as { readonly code: string } | undefined;
  if (use === 'heat' && rated && !ratings?.has(rated.code))
    return `heat rating ${rated.code}, which is on no scale of its maker that is known here`;
  const heldOf = (fact: RecordedFactId) => held.find((one) => one.fact === fact);
  const denied = stated.find(([fact, value]) => {
    const one = heldOf(fact);
    return one !== undefined && !agree(fact, one.value, value);
  });
  if (denied) {
    const ruling = sayStated(
      use,
      held.map(({ fact, value }) => [fact, value]),
    );
    return `${use} ${sayStated(use, stated)}, where ${heldOf(denied[0])!.source} says ${ruling}: ours stands`;
  }
  return stated.some(([fact]) => heldOf(fact) === undefined)
    ? { what: use, ours: null, theirs: sayStated(use, stated) }
    : undefined;
}

const dearer = ({ netMinor, ourMinor }: ReadRow, ours: Ours): readonly string[] =>
  [
    [ours.netMinor, netMinor],
    [ours.ourMinor, ourMinor],
  ].flatMap(([held, theirs]) =>
    typeof held === 'number' && typeof theirs === 'number' && held !== theirs ? [percent(held, theirs)] : [],
  );
