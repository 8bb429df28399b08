import { readBarcode } from '@brackenfell/core/part-numbers/barcode';
import { LONGEST_PART_NUMBER, normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { SHORTEST } from '@brackenfell/core/part-numbers/match-name';

export interface ReadQuestion {
  /** What is looked up as a number: the question without a maker's name. */
  readonly number: string;
  /** Ids of the makers named in it. */
  readonly makers: readonly string[];
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Takes a maker's name at the beginning or end out of a question; the rest is the number, if anything is left. */
export function readQuestion(question: string, makers: ReadonlyMap<string, string>): ReadQuestion {
  const words = question.trim().split(/\s+/);
  for (const [id, name] of makers) {
    const nameWords = plain(name).split(' ');
    for (let count = 1; count < words.length && count <= nameWords.length + 1; count += 1) {
      const head = plain(words.slice(0, count).join(' '));
      const tail = plain(words.slice(-count).join(' '));
      if (head === plain(name)) return { number: words.slice(count).join(' '), makers: [id] };
      if (tail === plain(name)) return { number: words.slice(0, -count).join(' '), makers: [id] };
    }
  }
  return { number: question, makers: [] };
}

/** What is odd about the question itself, in words; null when nothing is. */
export function remarkOn(question: string): string | null {
  const barcode = readBarcode(question);
  if (barcode.kind === 'wrong-check-digit')
    return `As a ${barcode.symbology} barcode its check digit should be ${barcode.expected}; scan it again.`;
  const normal = normalForm(question);
  if (normal === '' && !/\d/.test(question)) return 'There is no letter or digit in the question.';
  if (normal.length > LONGEST_PART_NUMBER) return 'Too long for a part number; it was read as words.';
  if (/[?*]/.test(question) && normal.length < SHORTEST.prefix)
    return `With ? and * give at least ${SHORTEST.prefix} characters that can be read.`;
  return null;
}
