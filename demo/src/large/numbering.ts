import type { Chance } from './random.ts';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const SUFFIXES = 'CDEFGHIJKNPRST';

const digits = (chance: Chance, count: number): string =>
  Array.from({ length: count }, () => chance.below(10)).join('');
const letter = (chance: Chance, from = SUFFIXES): string => from[chance.below(from.length)]!;

/**
 * Ways in which the makers of the large world number their parts, from dense (one in twenty of the possible numbers is
 * taken, so that slips land on real neighbours) to sparse.
 */
const STYLES: readonly ((chance: Chance, own: string, ownDigits: string) => string)[] = [
  (c, own) =>
    `${own} ${1 + c.below(9)}${c.pick(['09', '12', '17', '19', '26', '31'])}${c.pick(['G', 'T'])}-${40 + 2 * c.below(20)}${letter(c)}${letter(c)}`,
  (c, _, two) => `${two}-${digits(c, 2)}-${digits(c, 3)}-${digits(c, 3)}`,
  (c, own) => `${own}/${digits(c, 2)}/${digits(c, 2)}.${letter(c)}${1 + c.below(5)}`,
  (c, own) => `${own}X-${letter(c)}${digits(c, 2)}-${letter(c)}${digits(c, 2)}`,
  (c, own) => `${own} ${digits(c, 3)} ${digits(c, 3)}`,
  (c, own) => `${own}/${digits(c, 4)}-${digits(c, 3)}`,
  (c, own) => `${own} ${digits(c, 5)} ${letter(c, LETTERS)}${letter(c, LETTERS)}`,
];

export interface NumberingMaker {
  readonly id: string;
  readonly name: string;
  /** Two letters and two digits that only this maker's numbers begin with. */
  readonly own: string;
  readonly ownDigits: string;
  readonly style: number;
}

const STARTS = [
  'Bar',
  'Cor',
  'Dun',
  'Fen',
  'Gar',
  'Hol',
  'Kel',
  'Lar',
  'Mor',
  'Nor',
  'Pel',
  'Quar',
  'Ros',
  'Sal',
  'Tor',
  'Wex',
];
const ENDS = ['beck', 'dale', 'fell', 'garth', 'holm', 'keld', 'rigg', 'stead', 'thwaite', 'wick'];

/** Made-up makers; the index decides the name, so that no two are alike. */
export function largeMakers(count: number): NumberingMaker[] {
  return Array.from({ length: count }, (_, i) => {
    const name = `${STARTS[i % STARTS.length]!}${ENDS[Math.floor(i / STARTS.length) % ENDS.length]!}`;
    return {
      id: `large-${i + 1}`,
      name: `${name} ${i + 1}`,
      own: `${LETTERS[i % 26]!}${LETTERS[(Math.floor(i / 26) * 7 + i * 3 + 5) % 26]!}`,
      ownDigits: String(10 + i),
      style: i % STYLES.length,
    };
  });
}

export const makeNumber = (chance: Chance, { style, own, ownDigits }: NumberingMaker): string =>
  STYLES[style]!(chance, own, ownDigits);
