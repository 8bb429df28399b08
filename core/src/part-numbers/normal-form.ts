/** Letters of other scripts that a keyboard, a scan or a web page puts in place of Latin ones. */
const LOOK_ALIKE_SCRIPTS: Readonly<Record<string, string>> = {
  // Cyrillic
  А: 'A',
  В: 'B',
  Е: 'E',
  К: 'K',
  М: 'M',
  Н: 'H',
  О: 'O',
  Р: 'P',
  С: 'C',
  Т: 'T',
  У: 'Y',
  Х: 'X',
  І: 'I',
  Ѕ: 'S',
  Ј: 'J',
  // Greek
  Α: 'A',
  Β: 'B',
  Ε: 'E',
  Ζ: 'Z',
  Η: 'H',
  Ι: 'I',
  Κ: 'K',
  Μ: 'M',
  Ν: 'N',
  Ο: 'O',
  Ρ: 'P',
  Τ: 'T',
  Υ: 'Y',
  Χ: 'X',
};

/** Longest number that is looked up; longer text is a paste accident and is refused at the edge. */
export const LONGEST_PART_NUMBER = 64;

/**
 * A part number without what people write differently: upper case, separators dropped, look-alike scripts unified.
 * Every character that is not a letter or digit is a separator, but those the maker's grammar declares significant.
 * Part numbers: Written alike.
 */
export function normalForm(printed: string, significant = ''): string {
  if (ONLY_LATIN.test(printed)) return latinForm(printed.toUpperCase(), significant);
  let out = '';
  for (const ch of printed.normalize('NFKC').toUpperCase()) {
    const latin = LOOK_ALIKE_SCRIPTS[ch] ?? ch;
    if (/[\p{L}\p{N}]/u.test(latin) || significant.includes(latin)) out += latin;
  }
  return out;
}

/** Nearly all there are; a list brings a million. */
// oxlint-disable-next-line no-control-regex -- all of the first 128 characters
const ONLY_LATIN = /^[\u0000-\u007f]*$/;

function latinForm(upper: string, significant: string): string {
  let out = '';
  for (const ch of upper)
    if ((ch >= '0' && ch <= '9') || (ch >= 'A' && ch <= 'Z') || significant.includes(ch)) out += ch;
  return out;
}
