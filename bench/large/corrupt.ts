import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { Chance } from '@brackenfell/demo/large/random';

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789';
const LOOK_ALIKES = ['0OQD', '1IL', '2Z', '5S', '6G', '8B', 'UV'];
const alike = new Map(LOOK_ALIKES.flatMap((group) => [...group].map((ch) => [ch, group.replace(ch, '')] as const)));

/** Ways in which a number arrives at the counter. Each takes the normal form and gives what is typed; undefined: not possible. */
export const CORRUPTIONS: Readonly<Record<string, (number: string, by: Chance) => string | undefined>> = {
  separators: (number, by) =>
    [...number].map((ch) => (by.percent(25) ? `${by.pick([' ', '-', '/', '.'])}${ch}` : ch)).join(''),
  confusables: (number, by) => {
    const places = [...number].flatMap((ch, i) => (alike.has(ch) ? [i] : []));
    if (places.length === 0) return undefined;
    let worn = number;
    for (const place of [by.pick(places), by.pick(places)]) {
      const others = alike.get(number[place]!)!;
      worn = worn.slice(0, place) + others[by.below(others.length)]! + worn.slice(place + 1);
    }
    return worn;
  },
  extra: (number, by) => {
    const at = by.below(number.length + 1);
    return number.slice(0, at) + ALPHABET[by.below(36)]! + number.slice(at);
  },
  '?': (number, by) => {
    const at = by.below(number.length);
    return `${number.slice(0, at)}?${number.slice(at + 1)}`;
  },
  swapped: (number, by) => {
    const places = [...number].flatMap((ch, i) => (i > 0 && number[i - 1] !== ch ? [i] : []));
    if (places.length === 0) return undefined;
    const at = by.pick(places);
    return number.slice(0, at - 1) + number[at]! + number[at - 1]! + number.slice(at + 1);
  },
  wrong: (number, by) => {
    const at = by.below(number.length);
    const others = ALPHABET.replace(number[at]!, '');
    return number.slice(0, at) + others[by.below(35)]! + number.slice(at + 1);
  },
  missing: (number, by) => {
    const at = by.below(number.length);
    return number.slice(0, at) + number.slice(at + 1);
  },
  prefix: (number, by) => (number.length < 6 ? undefined : number.slice(0, number.length - 1 - by.below(2))),
};

/** A corrupted number that is not by chance the number itself. */
export function corrupt(kind: string, printed: string, by: Chance): string | undefined {
  const number = normalForm(printed);
  const typed = CORRUPTIONS[kind]!(number, by);
  return typed === undefined || (kind !== 'separators' && normalForm(typed) === number && !typed.includes('?'))
    ? undefined
    : typed;
}
