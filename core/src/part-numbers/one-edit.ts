import { foldKey } from './fold-key.ts';

/** How one character of a question differs from the name found, counted on the fold. Part numbers: Stages. */
export const EDIT_KINDS = ['wrong', 'swapped', 'missing', 'extra'] as const;
export type EditKind = (typeof EDIT_KINDS)[number];

export interface OneEdit {
  readonly kind: EditKind;
  /** Place in the name's fold key where the question departs from it; for `extra`, the place it was put before. */
  readonly at: number;
  /** The question's character(s) there, folded; empty for `missing`. */
  readonly read: string;
  /** The name's character(s) there, folded; empty for `extra`. */
  readonly as: string;
  /** Smaller is likelier: a weaker resemblance makes a wrong character cheap. No unit. */
  readonly cost: number;
}

/** Pairs too unlike to fold (they would merge neighbouring heat ratings) and likely enough to be ranked first. Section 2. */
const WEAK_PAIRS = ['17', '4A', '49', '38', 'CG', 'EF', 'PR'];
const weaklyAlike = new Set(WEAK_PAIRS.flatMap((pair) => [foldKey(pair), foldKey([...pair].reverse().join(''))]));

const COST = { resembling: 0.4, swapped: 0.7, doubled: 0.8, other: 1 } as const;

/**
 * The single edit that turns a folded question into a folded name: one character missing, extra or wrong, or two
 * neighbours swapped. Undefined when they are equal or further apart.
 */
export function oneEdit(question: string, name: string): OneEdit | undefined {
  if (question === name) return undefined;
  let at = 0;
  while (at < question.length && question[at] === name[at]) at += 1;
  const q = question.slice(at);
  const n = name.slice(at);
  if (question.length === name.length) {
    if (q.slice(1) === n.slice(1)) {
      const cost = weaklyAlike.has(q.charAt(0) + n.charAt(0)) ? COST.resembling : COST.other;
      return { kind: 'wrong', at, read: q[0]!, as: n[0]!, cost };
    }
    if (q.length > 1 && q.startsWith(n.charAt(1)) && q[1] === n[0] && q.slice(2) === n.slice(2))
      return { kind: 'swapped', at, read: q.slice(0, 2), as: n.slice(0, 2), cost: COST.swapped };
    return undefined;
  }
  if (q === n.slice(1)) return { kind: 'missing', at, read: '', as: n[0]!, cost: nextTo(name, at) };
  if (q.slice(1) === n) return { kind: 'extra', at, read: q[0]!, as: '', cost: nextTo(question, at) };
  return undefined;
}

/** A character dropped from, or added to, a run of the same is the likeliest slip of that kind. */
const nextTo = (text: string, at: number): number =>
  text[at] === text[at - 1] || text[at] === text[at + 1] ? COST.doubled : COST.other;

/** A string with each of its characters left out in turn, without repeats. */
export function deletionsOf(folded: string): string[] {
  const shorter = new Set<string>();
  for (let i = 0; i < folded.length; i += 1) shorter.add(folded.slice(0, i) + folded.slice(i + 1));
  return [...shorter];
}

/**
 * A whole number below 2^53 that stands for a folded name in the neighbourhood index. Two rounds of a multiplicative
 * string hash with different seeds; equal names always agree, and hits are verified, so a collision costs only time.
 */
export function nameHash(folded: string): number {
  let high = 0x9e3779b9;
  let low = 0x85ebca6b;
  for (let i = 0; i < folded.length; i += 1) {
    const code = folded.charCodeAt(i);
    high = Math.imul(high ^ code, 0x01000193);
    low = Math.imul(low ^ code, 0xc2b2ae35);
    low ^= low >>> 15;
  }
  high ^= high >>> 13;
  high = Math.imul(high, 0x5bd1e995);
  low = Math.imul(low ^ (low >>> 16), 0x27d4eb2f);
  return ((high ^ (high >>> 15)) >>> 11) * 0x1_0000_0000 + ((low ^ (low >>> 13)) >>> 0);
}

/** Keys under which a name is filed, and by which a question is looked up: itself and itself less one character. */
export const neighbourKeys = (folded: string): number[] => [folded, ...deletionsOf(folded)].map(nameHash);
