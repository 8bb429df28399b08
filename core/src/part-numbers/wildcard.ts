import { foldKey } from './fold-key.ts';
import { normalForm } from './normal-form.ts';

/** A question with illegible characters: `?` stands for one, `*` for any run, also an empty one. Part numbers: Stages. */
export interface WildcardPattern {
  /** Normal form with its `?` and `*` kept. */
  readonly normal: string;
  /** The same over fold keys. */
  readonly fold: string;
  readonly hasRun: boolean;
  /** Letters and digits that are legible. */
  readonly known: number;
}

const parts = (question: string): string[] => question.split(/([?*])/);
const keepSigns = (question: string, form: (text: string) => string): string =>
  parts(question)
    .map((part) => (part === '?' || part === '*' ? part : form(part)))
    .join('')
    .replaceAll(/\*+/g, '*');

/** Reads a question's signs; undefined when it has none. */
export function readWildcards(question: string): WildcardPattern | undefined {
  if (!/[?*]/.test(question)) return undefined;
  const normal = keepSigns(question, (part) => normalForm(part));
  return {
    normal,
    fold: keepSigns(question, foldKey),
    hasRun: normal.includes('*'),
    known: normal.replaceAll(/[?*]/g, '').length,
  };
}

/** A LIKE pattern of the same meaning, with LIKE's own signs escaped. */
export const likeOf = (pattern: string): string =>
  pattern
    .replaceAll(/[\\%_]/g, '\\$&')
    .replaceAll('?', '_')
    .replaceAll('*', '%');

/** Whether a normal form or fold key answers to a pattern of the same kind. */
export function answersTo(pattern: string, name: string): boolean {
  let p = 0;
  let n = 0;
  let star = -1;
  let mark = 0;
  while (n < name.length) {
    if (pattern[p] === '?' || (pattern[p] !== '*' && pattern[p] === name[n])) {
      p += 1;
      n += 1;
    } else if (pattern[p] === '*') {
      star = p;
      mark = n;
      p += 1;
    } else if (star >= 0) {
      p = star + 1;
      mark += 1;
      n = mark;
    } else return false;
  }
  while (pattern[p] === '*') p += 1;
  return p === pattern.length;
}

/**
 * The folded questions that a pattern of `?` alone stands for once all but the last sign are filled in; each still holds
 * one `?`, which a deletion key answers exactly. Undefined when that would be more than `most`.
 */
export function fillAllButOne(fold: string, alphabet: string, most: number): string[] | undefined {
  const signs = [...fold].filter((ch) => ch === '?').length;
  if (alphabet.length ** (signs - 1) > most) return undefined;
  let filled = [fold];
  for (let i = 1; i < signs; i += 1)
    filled = filled.flatMap((text) => [...alphabet].map((ch) => text.replace('?', ch)));
  return filled;
}

/** One of each look-alike group and every other letter and digit: what a fold key is written with. */
export const FOLDED_ALPHABET = [
  ...new Set([...'0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((one) => foldKey(one))),
].join('');
