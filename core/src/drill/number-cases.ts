import type { HeatScale } from '../heat-range/heat-scale.ts';
import { foldKey, lookAlikesOf } from '../part-numbers/fold-key.ts';
import { decodeNumber, type FieldMeaning, type NumberGrammar } from '../part-numbers/grammar.ts';
import { counted } from '../words/counted.ts';
import { choicesAmong, drawn, firstCase, type Draw, type DrillCase } from './drill-case.ts';

/** A number with the scheme of its maker. */
export interface SchemedNumber {
  readonly printed: string;
  readonly grammar: NumberGrammar;
}

/** So many of the real numbers that are most like it. */
const NEAREST = 6;

/** So many steps away a customer's plug still is, when two are mixed up. */
const NEAR_STEPS = 3;

/** A rating so many steps from another on its maker's scale. Makers number in opposite directions, and some by letters. */
export function heatCase(scales: readonly HeatScale[], draw: Draw): DrillCase | undefined {
  const scale = drawn(
    scales.filter(({ ratings }) => ratings.length > 2),
    draw,
  );
  if (!scale) return undefined;
  const { ratings, maker } = scale;
  const at = Math.floor(draw() * ratings.length);
  const within = (by: number) => ratings[at + by] !== undefined;
  const near = [-2, -1, 1, 2].filter(within);
  const by = drawn(near, draw)!;
  const way = (steps: number) => `${counted(Math.abs(steps), 'step')} ${steps > 0 ? 'colder' : 'hotter'}`;
  const [asked, right] = [ratings[at]!, ratings[at + by]!];
  const [hottest, coldest] = [ratings[0]!, ratings.at(-1)!];
  const others = [...near, -NEAR_STEPS, NEAR_STEPS].filter((steps) => steps !== by && within(steps));
  const among = choicesAmong(
    right.code,
    others.map((steps) => ratings[at + steps]!.code),
    draw,
  );
  return (
    among && {
      topic: 'heat',
      asks: `Which rating is ${way(by)} than ${maker} ${asked.code}?`,
      facts: [{ label: 'Scale', says: `${maker}, ${counted(ratings.length, 'rating')}` }],
      rows: [],
      ...among,
      why: [
        `${maker} runs from ${hottest.code}, the hottest, to ${coldest.code}, the coldest: ${right.code} is ${way(by)} than ${asked.code}.`,
        'Makers number in opposite directions: a figure alone tells nothing before its maker is known.',
      ],
    }
  );
}

/** A real number with one character worn into another that it is mistaken for, among real ones that it cannot be. */
export const wornCase = (numbers: readonly SchemedNumber[], draw: Draw): DrillCase | undefined =>
  firstCase(numbers, draw, (number) => wornFrom(number, numbers, draw));

function wornFrom(
  { printed, grammar }: SchemedNumber,
  numbers: readonly SchemedNumber[],
  draw: Draw,
): DrillCase | undefined {
  const worn = drawn(
    [...printed].flatMap((ch, at) => lookAlikesOf(ch).map((as) => ({ ch, as, at }))),
    draw,
  );
  if (!worn) return undefined;
  const keyOf = (text: string) => foldKey(text, grammar.significant);
  const key = keyOf(printed);
  const differs = (other: string): number => [...keyOf(other)].filter((ch, i) => ch !== key[i]).length;
  const others = numbers
    .filter((one) => one.grammar.maker === grammar.maker && keyOf(one.printed).length === key.length)
    .map((one) => ({ printed: one.printed, by: differs(one.printed) }));
  // Two that a worn stamping cannot tell apart are asked at the counter, not here.
  if (others.some((one) => one.by === 0 && one.printed !== printed)) return undefined;
  const nearest = others
    .filter(({ by }) => by > 0)
    .sort((a, b) => a.by - b.by)
    .slice(0, NEAREST);
  const among = choicesAmong(
    printed,
    nearest.map((one) => one.printed),
    draw,
  );
  return (
    among && {
      topic: 'worn',
      asks: 'Which number can it only be?',
      facts: [
        { label: 'Stamped', says: printed.slice(0, worn.at) + worn.as + printed.slice(worn.at + 1), isCode: true },
      ],
      rows: [],
      ...among,
      why: [
        `Read ${worn.as} as ${worn.ch}: the two look alike when they are worn, and the others differ in what does not.`,
        'Look alike: 0 O Q D, 1 I L, 2 Z, 5 S, 6 G, 8 B, U V. 1 and 7, or 3 and 8, are real neighbours: look again.',
      ],
    }
  );
}

/** What the code of a field could have said instead. */
function othersOf(means: FieldMeaning, code: string): readonly string[] {
  switch (means.kind) {
    case 'codes':
      return Object.entries(means.codes).flatMap(([other, { says }]) => (other === code ? [] : [says]));
    case 'cut-off':
    case 'count':
      return [-3, -1, 1, 2, 7].flatMap((by) => {
        const other = Number(code) + by;
        return other > 0 ? [means.says.replace('#', String(other))] : [];
      });
    case 'constant':
    case 'rating':
      return [];
  }
}

/** What one place in a maker's number tells. */
export const numberCase = (numbers: readonly SchemedNumber[], draw: Draw): DrillCase | undefined =>
  firstCase(numbers, draw, (number) => numberFrom(number, draw));

function numberFrom({ printed, grammar }: SchemedNumber, draw: Draw): DrillCase | undefined {
  const read = decodeNumber(printed, grammar);
  if (read.kind !== 'decoded') return undefined;
  const field = drawn(
    read.fields.filter(
      (one, i) => one.known && one.code !== '' && othersOf(grammar.fields[i]!.means, one.code).length > 1,
    ),
    draw,
  );
  if (!field) return undefined;
  const { means } = grammar.fields[read.fields.indexOf(field)]!;
  const among = choicesAmong(field.says, othersOf(means, field.code), draw);
  return (
    among && {
      topic: 'number',
      asks: `What does ${printed.slice(field.printedFrom, field.printedTo)} tell, at “${field.title}”?`,
      facts: [
        { label: 'Number', says: printed, isCode: true },
        { label: 'Scheme', says: grammar.title },
      ],
      rows: [],
      ...among,
      why: [
        `${field.code}: ${field.says}.`,
        `All of it: ${read.fields
          .filter(({ code }) => code !== '')
          .map(({ code, says }) => `${code} ${says}`)
          .join('; ')}.`,
      ],
    }
  );
}
