import type { Duty } from './duty.ts';

const NUMBERS = { power: 'powerRatio', boost: 'boostKpa', factory: 'factoryBoostKpa' } as const;
const FLAGS = { load: 'sustainedLoad', short: 'shortColdRuns', gas: 'gasFuel' } as const;
const WORDS = { class: 'className', on: 'classDate' } as const;

const has = <T extends object>(table: T, key: string): key is keyof T & string => Object.hasOwn(table, key);

/** A duty as it stands in an address: `load,boost:60,class:Tarn 2`. Empty for standard duty. */
export function printDuty(duty: Duty): string {
  const said = [
    ...Object.entries(FLAGS).flatMap(([word, field]) => (duty[field] === true ? [word] : [])),
    ...Object.entries(NUMBERS).flatMap(([word, field]) =>
      duty[field] === undefined ? [] : [`${word}:${String(duty[field])}`],
    ),
    ...Object.entries(WORDS).flatMap(([word, field]) => (duty[field] ? [`${word}:${duty[field]}`] : [])),
  ];
  return said.join(',');
}

/** Reads a duty back; undefined where a part of it is none. */
export function readDuty(text: string): Duty | undefined {
  const duty: Record<string, boolean | number | string> = {};
  for (const part of text
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean)) {
    const [word = '', ...rest] = part.split(':');
    const value = rest.join(':').trim();
    if (has(FLAGS, word) && value === '') duty[FLAGS[word]] = true;
    else if (has(NUMBERS, word) && value !== '' && Number.isFinite(Number(value))) duty[NUMBERS[word]] = Number(value);
    else if (has(WORDS, word) && value !== '') duty[WORDS[word]] = value;
    else return undefined;
  }
  if (!isPlausible(duty)) return undefined;
  return duty;
}

/** Ranges of domain section 13; more than five times the output is no engine of this counter. */
function isPlausible({ powerRatio, boostKpa, factoryBoostKpa, classDate }: Duty): boolean {
  const inside = (value: number | undefined, low: number, high: number) =>
    value === undefined || (value >= low && value <= high);
  return (
    inside(powerRatio, 0.5, 5) &&
    inside(boostKpa, -100, 400) &&
    inside(factoryBoostKpa, -50, 400) &&
    (classDate === undefined || /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(classDate))
  );
}

/** What a duty is, in words; `Standard` where nothing is set. */
export function sayDuty(duty: Duty): string {
  const said = [
    duty.sustainedLoad ? 'sustained load' : '',
    duty.shortColdRuns ? 'short cold runs' : '',
    duty.gasFuel ? 'converted to gas' : '',
    duty.powerRatio === undefined ? '' : `output × ${duty.powerRatio}`,
    duty.boostKpa === undefined
      ? ''
      : `boost ${duty.boostKpa} kPa${duty.factoryBoostKpa ? `, was ${duty.factoryBoostKpa}` : ''}`,
    duty.className ? `class ${duty.className}${duty.classDate ? ` on ${duty.classDate}` : ''}` : '',
  ].filter(Boolean);
  return said.length === 0 ? 'Standard' : said.join(', ');
}
