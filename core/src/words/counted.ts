const LOCALE = 'en-GB';
const plurals = new Intl.PluralRules(LOCALE);
const numbers = new Intl.NumberFormat(LOCALE);
const lists = {
  and: new Intl.ListFormat(LOCALE, { type: 'conjunction' }),
  or: new Intl.ListFormat(LOCALE, { type: 'disjunction' }),
};

/** A count with its thousands apart by a space that never breaks: 60 000. */
export const printCount = (count: number): string => numbers.format(count).replaceAll(',', '\u00a0');

/** The word that a count takes: `line` of one, `lines` of none or several. */
export const wordFor = (count: number, one: string, several = `${one}s`): string =>
  plurals.select(count) === 'one' ? one : several;

/** A count with its word: 1 line, 3 lines, 60 000 lines. */
export const counted = (count: number, one: string, several?: string): string =>
  `${printCount(count)} ${wordFor(count, one, several)}`;

/** Things in a row as they are said: a, b and c. */
export const listed = (things: readonly string[], joined: 'and' | 'or' = 'and'): string => lists[joined].format(things);

/** An average of counts: with a decimal while that says anything. */
export const printAverage = (average: number): string =>
  average < 100 ? average.toFixed(1) : printCount(Math.round(average));
