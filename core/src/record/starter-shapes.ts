/**
 * How heat scales and part numbers are commonly built, for whoever records a maker's own: order and kinds of fields, and nothing that
 * is some maker's. What a rating stands for in bar, and what a code means, is left for the maker's own table to say.
 */
export interface StarterShape {
  readonly id: string;
  /** In few words, as it is chosen. */
  readonly title: string;
  /** The record of a maker as it begins. What it leaves out is missing, and asked for before anything is recorded. */
  readonly begin: (maker: string) => object;
}

const scale = (id: string, title: string, codes: readonly (string | number)[]): StarterShape => ({
  id,
  title,
  begin: (maker) => ({ line: 'heat-scale', maker, ratings: codes.map((code) => ({ code: String(code) })) }),
});

/** From hot to cold. */
const SCALES: readonly StarterShape[] = [
  scale('colder-upward', 'single figures, a higher one colder', [2, 3, 4, 5, 6, 7, 8, 9]),
  scale('hotter-upward', 'two figures, a higher one hotter', [22, 20, 18, 16, 14, 12, 10]),
  scale('letters', 'letters, A the coldest', ['H', 'G', 'F', 'E', 'D', 'C', 'B', 'A']),
];

const TITLES = {
  maker: 'Maker',
  thread: 'Thread class',
  reach: 'Reach',
  seat: 'Seat',
  heat: 'Heat',
  electrodes: 'Electrodes',
  resistor: 'Resistor',
  form: 'Form',
  tip: 'Tip',
  gap: 'Gap in tenths',
} as const;
type Name = keyof typeof TITLES;
type Field = (maker: string) => object;
const field =
  (name: Name, of: 'letters' | 'digits', [least, most]: readonly [number, number], means: object): Field =>
  () => ({ id: name, title: TITLES[name], of, least, most, means });
const codes = (name: Name, of: 'letters' | 'digits', many: readonly [number, number]) =>
  field(name, of, many, { kind: 'codes', codes: {} });
const heat =
  (of: 'letters' | 'digits', many: readonly [number, number]): Field =>
  (maker) =>
    field('heat', of, many, { kind: 'rating', maker })(maker);
const ownLetters = field('maker', 'letters', [1, 3], { kind: 'constant', text: '', says: '' });
const reach = field('reach', 'digits', [2, 2], {
  kind: 'cut-off',
  fact: 'plug.reachMm',
  unitMm: 1,
  says: 'reach # mm and a fraction',
});
const gap = field('gap', 'digits', [1, 2], {
  kind: 'cut-off',
  fact: 'plug.gapMm',
  unitMm: 0.1,
  says: 'gap # tenths of a millimetre and a fraction',
});

const scheme = (id: string, title: string, fields: readonly Field[]): StarterShape => ({
  id,
  title,
  begin: (maker) => ({
    line: 'numbering',
    grammar: { maker, title, significant: '', fields: [ownLetters, ...fields].map((one) => one(maker)) },
  }),
});

const NUMBERINGS: readonly StarterShape[] = [
  scheme('thread-first', 'thread, reach in millimetres, seat, heat, electrodes, resistor', [
    codes('thread', 'digits', [1, 1]),
    reach,
    codes('seat', 'letters', [1, 1]),
    heat('digits', [1, 2]),
    codes('electrodes', 'letters', [1, 1]),
    codes('resistor', 'letters', [0, 1]),
  ]),
  scheme('heat-first', 'heat as a letter, reach in millimetres, form, tip, gap in tenths', [
    heat('letters', [1, 1]),
    reach,
    codes('form', 'letters', [0, 1]),
    codes('tip', 'letters', [1, 1]),
    gap,
  ]),
];

/** What a record that is not there yet may begin from, by its kind. An engine begins like another. */
export const STARTER_SHAPES: Readonly<Record<'heat-scale' | 'numbering', readonly StarterShape[]>> = {
  'heat-scale': SCALES,
  numbering: NUMBERINGS,
};
