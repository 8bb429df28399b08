import { normalForm } from './normal-form.ts';

/** What a decoded position says of one fact, as figures are recorded: a span, or a code word, or one of several (`a|b`). */
export interface DecodedFact {
  readonly fact: string;
  readonly low?: number;
  readonly high?: number;
  readonly code?: string;
}

export interface CodeMeaning {
  readonly says: string;
  readonly facts?: readonly DecodedFact[];
}

/** How the characters of one field are read. */
export type FieldMeaning =
  | { readonly kind: 'constant'; readonly text: string; readonly says: string }
  | { readonly kind: 'codes'; readonly codes: Readonly<Record<string, CodeMeaning>> }
  /** A figure cut off after whole units: `12` in millimetres stands for 12 up to, not including, 13. */
  | { readonly kind: 'cut-off'; readonly fact: string; readonly unitMm: number; readonly says: string }
  | { readonly kind: 'rating'; readonly maker: string }
  | { readonly kind: 'count'; readonly fact: string; readonly says: string };

export interface GrammarField {
  readonly id: string;
  readonly title: string;
  readonly of: 'letters' | 'digits';
  readonly least: number;
  readonly most: number;
  readonly means: FieldMeaning;
}

/** A maker's numbering scheme as data: the fields of its numbers in order, read on the normal form. Part numbers: Schemes. */
export interface NumberGrammar {
  readonly maker: string;
  readonly title: string;
  /** Signs that are no separators in this maker's numbers. */
  readonly significant: string;
  readonly fields: readonly GrammarField[];
}

export interface DecodedField {
  readonly id: string;
  readonly title: string;
  /** As it stands in the normal form; empty where an optional field was left out. */
  readonly code: string;
  /** Places in the printed number, from and up to but without. */
  readonly printedFrom: number;
  readonly printedTo: number;
  readonly says: string;
  readonly facts: readonly DecodedFact[];
  /** False for a code that the scheme's table does not hold. */
  readonly known: boolean;
}

export type DecodedNumber =
  | { readonly kind: 'decoded'; readonly fields: readonly DecodedField[] }
  | { readonly kind: 'not-of-this-scheme' };

const CHARACTERS = { letters: '[A-Z]', digits: '[0-9]' } as const;

function patternOf(grammar: NumberGrammar): RegExp {
  const groups = grammar.fields.map(({ of, least, most, means }) =>
    means.kind === 'constant'
      ? `(${means.text.replaceAll(/[^A-Z0-9]/g, String.raw`\$&`)})`
      : `(${CHARACTERS[of]}{${least},${most}})`,
  );
  return new RegExp(`^${groups.join('')}$`, 'd');
}

/** Place of every character of the normal form in the printed number. */
function placesOf(printed: string, significant: string): number[] {
  const places: number[] = [];
  [...printed].forEach((ch, i) => {
    for (const _ of normalForm(ch, significant)) places.push(i);
  });
  return places;
}

function read(field: GrammarField, code: string): Pick<DecodedField, 'says' | 'facts' | 'known'> {
  const { means } = field;
  switch (means.kind) {
    case 'constant':
      return { says: means.says, facts: [], known: true };
    case 'codes': {
      const meaning = means.codes[code];
      return meaning
        ? { says: meaning.says, facts: meaning.facts ?? [], known: true }
        : { says: `${code} is not in the scheme’s table`, facts: [], known: false };
    }
    case 'cut-off': {
      const low = Number(code) * means.unitMm;
      const high = (Number(code) + 1) * means.unitMm;
      return {
        says: means.says.replace('#', String(Number(code))),
        facts: [{ fact: means.fact, low, high }],
        known: true,
      };
    }
    case 'rating':
      return {
        says: `heat rating ${code}`,
        facts: [{ fact: 'plug.heat', code: `${means.maker}:${code}` }],
        known: true,
      };
    case 'count':
      return {
        says: means.says.replace('#', code),
        facts: [{ fact: means.fact, low: Number(code), high: Number(code) }],
        known: true,
      };
  }
}

/** Decodes a number into its fields and what each says. Input: as printed. */
export function decodeNumber(printed: string, grammar: NumberGrammar): DecodedNumber {
  const match = patternOf(grammar).exec(normalForm(printed, grammar.significant));
  if (!match?.indices) return { kind: 'not-of-this-scheme' };
  const places = placesOf(printed, grammar.significant);
  return {
    kind: 'decoded',
    fields: grammar.fields.map((field, i): DecodedField => {
      const [from, to] = match.indices![i + 1]!;
      const printedFrom = places[from] ?? printed.length;
      return {
        id: field.id,
        title: field.title,
        code: match[i + 1]!,
        printedFrom,
        printedTo: to === from ? printedFrom : places[to - 1]! + 1,
        ...read(field, match[i + 1]!),
      };
    }),
  };
}

/** A recorded value told as the fields of a number tell theirs: figures as a range, words and forms as a code. */
export function asDecoded(value: unknown): Omit<DecodedFact, 'fact'> {
  if (typeof value === 'number') return { low: value, high: value };
  if (typeof value !== 'object' || value === null) return { code: String(value) };
  const { maker, code, kind, state, low, high, kohm, mm } = value as Readonly<Record<string, unknown>>;
  if (typeof maker === 'string') return { code: `${maker}:${String(code)}` };
  const form = kind ?? state;
  const from = low ?? kohm ?? mm;
  return {
    ...(typeof form === 'string' ? { code: form } : {}),
    ...(typeof from === 'number' ? { low: from, high: typeof high === 'number' ? high : from } : {}),
  };
}

/** A recorded figure to hold a decoded number against. */
export interface RecordedFigure extends DecodedFact {
  readonly source: string;
}

export interface NumberMismatch {
  readonly field: string;
  readonly fact: string;
  readonly decoded: DecodedFact;
  readonly recorded: RecordedFigure;
}

/** Codes that differ in wording but not in what the grammar can tell: a scheme's `gasket` covers both kinds of gasket. */
const agrees = (decoded: DecodedFact, recorded: DecodedFact): boolean => {
  if (decoded.code !== undefined)
    return decoded.code.split('|').some((code) => recorded.code === code || recorded.code?.split('-')[0] === code);
  if (recorded.low === undefined) return recorded.code === undefined;
  return (
    recorded.low >= decoded.low! - 1e-9 &&
    (decoded.low === decoded.high ? recorded.low <= decoded.high! + 1e-9 : recorded.low < decoded.high! - 1e-9)
  );
};

/** Every recorded figure, of the catalogue or gauged, that contradicts what the number itself says. */
export function mismatches(decoded: DecodedNumber, recorded: readonly RecordedFigure[]): NumberMismatch[] {
  if (decoded.kind !== 'decoded') return [];
  return decoded.fields.flatMap((field) =>
    field.facts.flatMap((fact) =>
      recorded
        .filter((figure) => figure.fact === fact.fact && !agrees(fact, figure))
        .map((figure) => ({ field: field.title, fact: fact.fact, decoded: fact, recorded: figure })),
    ),
  );
}
