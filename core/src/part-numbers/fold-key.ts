import { normalForm } from './normal-form.ts';

/**
 * Characters a worn stamping or handwriting confuses, first of each standing for all. Part numbers: Worn stampings.
 * Weaker resemblances (1/7, 3/8, C/G …) are left out on purpose: folding them would merge neighbouring real numbers.
 */
const LOOK_ALIKE_GROUPS = ['0OQD', '1IL', '2Z', '5S', '6G', '8B', 'UV'] as const;

const folded = new Map<string, string>(
  LOOK_ALIKE_GROUPS.flatMap((group) => [...group].map((ch) => [ch, group[0]!] as const)),
);

/** What else a worn character may be, without itself; nothing where it is mistaken for no other. */
export const lookAlikesOf = (character: string): readonly string[] =>
  [...(LOOK_ALIKE_GROUPS.find((group) => group.includes(character)) ?? '')].filter((other) => other !== character);

/** One symbol per look-alike group, so that `KN 42GG` and `KN 426G` share a key. Input: printed or normal form; signs that
 * the maker's grammar declares significant are kept. */
export function foldKey(printed: string, significant = ''): string {
  let out = '';
  for (const ch of normalForm(printed, significant)) out += folded.get(ch) ?? ch;
  return out;
}

/** Where a found number differs from what was asked: index in the found number's printed form. */
export interface ReadDifference {
  readonly printedIndex: number;
  readonly read: string;
  readonly as: string;
}

/** The characters of a fold match that were read as another of their group, for "read G as 6". Fold keys must be equal. */
export function readDifferences(asked: string, foundPrinted: string): ReadDifference[] {
  const question = [...normalForm(asked)];
  const differences: ReadDifference[] = [];
  let at = 0;
  [...foundPrinted].forEach((ch, printedIndex) => {
    const plain = normalForm(ch);
    if (plain === '') return;
    const read = question[at];
    at += 1;
    if (read !== undefined && read !== plain) differences.push({ printedIndex, read, as: plain });
  });
  return differences;
}
