import type { NumberGrammarEntry } from '@brackenfell/contract/catalogue-file';

type Codes = Record<string, { says: string; facts?: { fact: never; low?: number; high?: number; code?: string }[] }>;
const mm = (fact: string, value: number) => ({ fact: fact as never, low: value, high: value });
const word = (fact: string, code: string) => ({ fact: fact as never, code });
const electrodes = (centre: string, ground: string) => [
  word('plug.centreMaterial', centre),
  word('plug.groundMaterial', ground),
];

const kestraneThread: Codes = {
  2: { says: 'M12 × 1.25 thread', facts: [mm('plug.threadDiameterMm', 12), mm('plug.threadPitchMm', 1.25)] },
  4: { says: 'M14 × 1.25 thread', facts: [mm('plug.threadDiameterMm', 14), mm('plug.threadPitchMm', 1.25)] },
  8: { says: 'M18 × 1.5 thread', facts: [mm('plug.threadDiameterMm', 18), mm('plug.threadPitchMm', 1.5)] },
};
const seats: Codes = {
  G: { says: 'gasket seat', facts: [word('plug.seat', 'gasket')] },
  T: { says: 'taper seat', facts: [word('plug.seat', 'taper')] },
};
const kestraneMaterial: Codes = {
  D: { says: 'platinum on both electrodes', facts: electrodes('platinum', 'platinum') },
  G: { says: 'iridium over platinum, gap for gas', facts: electrodes('iridium', 'platinum') },
  I: { says: 'iridium over platinum', facts: electrodes('iridium', 'platinum') },
  K: { says: 'iridium over platinum, close gap for boost', facts: electrodes('iridium', 'platinum') },
  N: { says: 'nickel', facts: electrodes('nickel', 'nickel') },
  P: { says: 'platinum on both electrodes, closer gap', facts: electrodes('platinum', 'platinum') },
  S: { says: 'nickel, short nose for sport', facts: electrodes('nickel', 'nickel') },
};
const resistor: Codes = {
  '': { says: 'no resistor', facts: [word('plug.resistor', 'none')] },
  R: { says: 'resistor', facts: [word('plug.resistor', 'value|present')] },
};
const thread = (diameter: number, pitch: number) => [
  mm('plug.threadDiameterMm', diameter),
  mm('plug.threadPitchMm', pitch),
];
const hollinForm: Codes = {
  '': { says: 'M14 × 1.25, gasket seat', facts: [...thread(14, 1.25), word('plug.seat', 'gasket')] },
  S: { says: 'slim: M12 × 1.25, gasket seat', facts: [...thread(12, 1.25), word('plug.seat', 'gasket')] },
  T: { says: 'M18 × 1.5, taper seat', facts: [...thread(18, 1.5), word('plug.seat', 'taper')] },
  V: { says: 'M14 × 1.25, taper seat', facts: [...thread(14, 1.25), word('plug.seat', 'taper')] },
};
const hollinTip: Codes = {
  B: { says: 'platinum on both electrodes, closer gap', facts: electrodes('platinum', 'platinum') },
  C: { says: 'plain nickel', facts: electrodes('nickel', 'nickel') },
  D: { says: 'platinum on both electrodes', facts: electrodes('platinum', 'platinum') },
  G: { says: 'iridium over platinum, for gas', facts: electrodes('iridium', 'platinum') },
  J: { says: 'iridium over platinum', facts: electrodes('iridium', 'platinum') },
  K: { says: 'iridium over platinum, for boost', facts: electrodes('iridium', 'platinum') },
  L: { says: 'loose gasket', facts: [word('plug.seat', 'gasket-loose')] },
  P: { says: 'tip stands further out' },
  R: { says: 'tip drawn back' },
  S: { says: 'nickel with resistor', facts: electrodes('nickel', 'nickel') },
};
const ivorixForm: Codes = {
  '': { says: 'usual hole of its reach' },
  G: { says: 'large thread, gasket seat', facts: [word('plug.seat', 'gasket')] },
  L: { says: 'M14 in a long reach', facts: thread(14, 1.25) },
  S: { says: 'slim: M12 × 1.25', facts: thread(12, 1.25) },
  T: { says: 'M18 × 1.5, taper seat', facts: [...thread(18, 1.5), word('plug.seat', 'taper')] },
  V: { says: 'M14 × 1.25, taper seat', facts: [...thread(14, 1.25), word('plug.seat', 'taper')] },
};
const ivorixTip: Codes = {
  D: { says: 'platinum on both electrodes', facts: electrodes('platinum', 'platinum') },
  F: { says: 'fine wire over a plain ground', facts: electrodes('iridium', 'nickel') },
  G: { says: 'iridium over platinum, for gas', facts: electrodes('iridium', 'platinum') },
  J: { says: 'iridium over platinum', facts: electrodes('iridium', 'platinum') },
  K: { says: 'iridium over platinum, for boost', facts: electrodes('iridium', 'platinum') },
  N: { says: 'nickel', facts: electrodes('nickel', 'nickel') },
  P: { says: 'platinum on both electrodes, closer gap', facts: electrodes('platinum', 'platinum') },
  S: { says: 'surface gap', facts: [word('plug.groundForm', 'surface')] },
};

const field = (id: string, title: string, of: 'letters' | 'digits', least: number, most: number) => ({
  id,
  title,
  of,
  least,
  most,
});
const constant = (text: string, says: string) => ({
  ...field('maker', 'Maker', 'letters', 1, 3),
  means: { kind: 'constant' as const, text, says },
});
const reach = { kind: 'cut-off', fact: 'plug.reachMm', unitMm: 1, says: 'reach # mm and a fraction' } as const;

/** The numbering schemes of the three makers that have one. Tamsel's stock numbers say nothing. */
export const grammars: NumberGrammarEntry[] = [
  {
    maker: 'kestrane',
    title: 'Kestrane type code: thread, reach, seat, heat, electrodes, resistor',
    fields: [
      constant('KN', 'Kestrane'),
      { ...field('thread', 'Thread class', 'digits', 1, 1), means: { kind: 'codes', codes: kestraneThread } },
      { ...field('reach', 'Reach', 'digits', 2, 2), means: reach },
      { ...field('seat', 'Seat', 'letters', 1, 1), means: { kind: 'codes', codes: seats } },
      { ...field('heat', 'Heat, colder upward', 'digits', 2, 2), means: { kind: 'rating', maker: 'kestrane' } },
      { ...field('electrodes', 'Electrodes', 'letters', 1, 1), means: { kind: 'codes', codes: kestraneMaterial } },
      { ...field('resistor', 'Resistor', 'letters', 0, 1), means: { kind: 'codes', codes: resistor } },
    ],
  },
  {
    maker: 'hollin-bray',
    title: 'Hollin & Bray type code: reach, form, heat, tip, grounds',
    fields: [
      constant('HB', 'Hollin & Bray'),
      { ...field('reach', 'Reach', 'digits', 1, 2), means: reach },
      { ...field('form', 'Form', 'letters', 0, 1), means: { kind: 'codes', codes: hollinForm } },
      { ...field('heat', 'Heat, hotter upward', 'digits', 2, 2), means: { kind: 'rating', maker: 'hollin-bray' } },
      { ...field('tip', 'Tip', 'letters', 1, 1), means: { kind: 'codes', codes: hollinTip } },
      {
        ...field('grounds', 'Grounds', 'digits', 1, 1),
        means: { kind: 'count', fact: 'plug.groundCount', says: '# ground electrode(s)' },
      },
    ],
  },
  {
    maker: 'ivorix',
    title: 'Ivorix type code: heat letter, reach, form, tip, gap',
    fields: [
      constant('IVX', 'Ivorix'),
      { ...field('heat', 'Heat, A the coldest', 'letters', 1, 1), means: { kind: 'rating', maker: 'ivorix' } },
      { ...field('reach', 'Reach', 'digits', 2, 2), means: reach },
      { ...field('form', 'Form', 'letters', 0, 1), means: { kind: 'codes', codes: ivorixForm } },
      { ...field('tip', 'Tip', 'letters', 1, 1), means: { kind: 'codes', codes: ivorixTip } },
      {
        ...field('gap', 'Gap in tenths', 'digits', 2, 2),
        means: {
          kind: 'cut-off',
          fact: 'plug.gapMm',
          unitMm: 0.1,
          says: 'gap # tenths of a millimetre and a fraction',
        },
      },
    ],
  },
];
