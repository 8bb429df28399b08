/** Units at the end of a name, as they are printed. */
const UNITS: Readonly<Record<string, string>> = {
  Mm: 'mm',
  Km: 'km',
  Bar: 'bar',
  Nm: 'N·m',
  Kohm: 'kΩ',
  Ohm: 'Ω',
  Deg: '°',
  Mh: 'mH',
  Kv: 'kV',
  Kpa: 'kPa',
  Rpm: 'rpm',
  Minor: 'in pence or cents',
};

/** Names that say less than they mean. */
const SAID: Readonly<Record<string, string>> = {
  id: 'key',
  of: 'made of',
  leadsGo: 'where the leads go',
  plan: 'how the cylinders stand and fire',
  named: 'numbers its maker names',
  visits: 'how often it comes',
  from: 'from',
  to: 'to',
  as: 'what kind of name',
  says: 'what it says',
  about: 'what it is about',
  use: 'what the shop sells for it',
  indexBar: 'heat index, bar',
  means: 'what it means',
  least: 'fewest characters',
  most: 'most characters',
  grammar: 'how its numbers are read',
  fields: 'fields, in the order of the number',
  significant: 'signs that count in a number',
};

/** The name of a recorded field in words, with its unit after a comma. */
export function sayKey(key: string): string {
  const said = SAID[key];
  if (said) return said;
  const unit = Object.keys(UNITS).find((end) => key.endsWith(end) && key.length > end.length);
  const name = unit ? key.slice(0, -unit.length) : key;
  const words = name
    .replace(/^is(?=[A-Z])/, '')
    .replaceAll(/([A-Z])/g, ' $1')
    .toLowerCase()
    .trim();
  return unit ? `${words}, ${UNITS[unit]!}` : words;
}

/** A word out of a list of choices: without its hyphens. */
export const sayChoice = (choice: string | number): string => String(choice).replaceAll('-', ' ');

/** One of what a list is called after. */
export const sayOne = (key: string): string =>
  key === 'named' ? 'number' : key === 'fields' ? 'field' : sayKey(key).replace(/ies$/, 'y').replace(/s$/, '');

/** A path of a record in words: *positions 1, figures 19, value*. */
export const sayPath = (path: string): string =>
  path
    .split('.')
    .map((step) => (/^\d+$/.test(step) ? ` ${Number(step) + 1}` : `, ${sayKey(step)}`))
    .join('')
    .replace(/^, /, '');

/** What a check says of a field, in the words of the counter. */
export function sayAmiss(says: string): string {
  if (/^Too small.*(string|array)/.test(says) || says.endsWith('received undefined')) return 'is missing';
  if (says.includes('expected number')) return 'is a figure';
  if (/^Invalid (option|input)/.test(says)) return 'is not one of what it can be';
  return says;
}
