import { monthBefore } from '../words/calendar.ts';
import { printCount } from '../words/counted.ts';
import type { EngineCandidate } from './candidates.ts';

export interface Answer {
  readonly id: string;
  readonly says: string;
}

/** A question that can tell engines apart, with what it costs to have it answered. */
export interface Question {
  readonly id: string;
  readonly asks: string;
  /** How the answer is got, in a few words. */
  readonly how: string;
  /** Minutes of the customer's and our time, a typical figure of this trade's counters. */
  readonly minutes: number;
  /** Set when the answers are shapes that are told best from drawings. */
  readonly drawn: boolean;
  /** Answers a candidate is consistent with; empty when it is not known, which rules nothing out. */
  readonly answersOf: (candidate: EngineCandidate) => readonly string[];
  readonly say: (answer: string) => string;
}

const known = (value: string | number | boolean | undefined): readonly string[] =>
  value === undefined ? [] : [String(value)];

const spoken =
  (words: Readonly<Record<string, string>>) =>
  (answer: string): string =>
    words[answer] ?? answer;

const asIs = (answer: string): string => answer;

/** Every question of the trade that the catalogue holds answers to; `built:` questions are made for the builds at hand. */
export const QUESTIONS: readonly Question[] = [
  {
    id: 'badge',
    asks: 'What badge is on it?',
    how: 'asked',
    minutes: 0.4,
    drawn: false,
    answersOf: ({ vehicles }) => [...new Set(vehicles.map((v) => v.make))],
    say: asIs,
  },
  {
    id: 'fuel',
    asks: 'Petrol or gas?',
    how: 'asked',
    minutes: 0.4,
    drawn: false,
    answersOf: ({ traits }) => known(traits.fuel),
    say: spoken({ petrol: 'Petrol', gas: 'Gas' }),
  },
  {
    id: 'layout',
    asks: 'How are the cylinders set?',
    how: 'by eye',
    minutes: 0.8,
    drawn: true,
    answersOf: ({ traits }) => known(traits.layout),
    say: spoken({
      one: 'One cylinder',
      twin: 'Two side by side',
      three: 'Three in line',
      four: 'Four in line',
      five: 'Five in line',
      six: 'Six in line',
      'vee-four': 'Four in a vee',
      'vee-six': 'Six in a vee',
      'vee-eight': 'Eight in a vee',
      'flat-four': 'Four lying flat',
    }),
  },
  {
    id: 'leads',
    asks: 'Where do the leads go?',
    how: 'by eye',
    minutes: 1,
    drawn: true,
    answersOf: ({ traits }) => known(traits.leadsGo),
    say: spoken({
      'coil-each': 'No leads: a coil each',
      pack: 'Leads to a square pack',
      cap: 'Leads to a round cap',
      'single-lead': 'One lead from a magneto',
    }),
  },
  {
    id: 'litres',
    asks: 'What displacement?',
    how: 'on the papers or the block',
    minutes: 1.5,
    drawn: false,
    answersOf: ({ traits }) => known(traits.litres?.toFixed(1)),
    say: (answer) => `${answer} litres`,
  },
  {
    id: 'boosted',
    asks: 'Is there a turbo or a supercharger?',
    how: 'by eye',
    minutes: 1,
    drawn: false,
    answersOf: ({ traits }) => known(traits.boosted),
    say: spoken({ true: 'Boosted', false: 'Not boosted' }),
  },
  {
    id: 'cooling',
    asks: 'Fins or a radiator?',
    how: 'by eye',
    minutes: 0.8,
    drawn: false,
    answersOf: ({ traits }) => known(traits.cooling),
    say: spoken({ air: 'Fins: air-cooled', water: 'A radiator' }),
  },
  {
    id: 'plugs',
    asks: 'How many plugs has each cylinder?',
    how: 'by eye',
    minutes: 1.5,
    drawn: true,
    answersOf: ({ traits }) => known(traits.plugsPerCylinder),
    say: spoken({ 1: 'One plug each', 2: 'Two plugs each' }),
  },
  {
    id: 'pins',
    asks: 'How many pins on a coil?',
    how: 'unplug one, engine off',
    minutes: 3,
    drawn: true,
    answersOf: ({ traits }) => known(traits.coilPins),
    say: (answer) => `${answer} pins`,
  },
  {
    id: 'boot',
    asks: 'What shape is the coil’s boot?',
    how: 'one coil out, engine cold and off',
    minutes: 6,
    drawn: true,
    answersOf: ({ traits }) => known(traits.coilBoot),
    say: spoken({ straight: 'Straight boot', stepped: 'Stepped boot' }),
  },
];

/**
 * The way in that always tells engines apart. It is not asked in turn: a torch, a rag and five minutes under the bonnet
 * come last, when nothing that can be seen or said separates what remains.
 */
export const CODE_QUESTION: Question = {
  id: 'code',
  asks: 'What code is cast on the block?',
  how: 'torch and rag, engine cold',
  minutes: 5,
  drawn: false,
  answersOf: ({ code }) => [code],
  say: asIs,
};

const yearsOf = (candidate: EngineCandidate): { from: string; to: string } => {
  const from = Math.min(...candidate.vehicles.map((v) => v.from));
  const to = Math.max(...candidate.vehicles.map((v) => v.to ?? 9999));
  const open = candidate.vehicles.length === 0;
  return {
    from: [candidate.builtFrom ?? '0000-00', open ? '0000-00' : `${from}-01`].sort().at(-1)!,
    to: [candidate.builtTo ?? '9999-12', open ? '9999-12' : `${to}-12`].sort()[0]!,
  };
};

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
/** `2016-09` as "Sep 2016". */
export const sayMonth = (month: string): string =>
  `${MONTHS[Number(month.slice(5)) - 1] ?? ''} ${month.slice(0, 4)}`.trim();

/** Whether it was built before a month in which one of the remaining engines was changed. */
function builtQuestion(month: string): Question {
  return {
    id: `built:${month}`,
    asks: `Built before ${sayMonth(month)}, or later?`,
    how: 'door or serial plate',
    minutes: 2,
    drawn: false,
    answersOf: (candidate) => {
      const { from, to } = yearsOf(candidate);
      return [...(from < month ? ['before'] : []), ...(to >= month ? ['from'] : [])];
    },
    say: (answer) => (answer === 'before' ? `To ${sayMonth(monthBefore(month))}` : `${sayMonth(month)} or later`),
  };
}

/** Whether its serial number is below one from which an engine was changed. */
function serialQuestion(serial: number): Question {
  return {
    id: `serial:${serial}`,
    asks: `Is its serial number below ${printCount(serial)}?`,
    how: 'serial plate',
    minutes: 2,
    drawn: false,
    answersOf: ({ fromSerial, toSerial }) =>
      fromSerial === undefined && toSerial === undefined
        ? []
        : [
            ...(fromSerial === undefined || fromSerial < serial ? ['below'] : []),
            ...(toSerial === undefined || toSerial >= serial ? ['from'] : []),
          ],
    say: (answer) => `Serial number ${answer === 'below' ? 'below' : 'from'} ${printCount(serial)}`,
  };
}

/** The questions that could be asked about these candidates: the standing ones, one for each month or serial a build changed at. */
export function questionsFor(candidates: readonly EngineCandidate[]): Question[] {
  const months = new Set(candidates.flatMap(({ builtFrom }) => (builtFrom ? [builtFrom] : [])));
  const serials = new Set(candidates.flatMap(({ fromSerial }) => (fromSerial ? [fromSerial] : [])));
  return [
    ...QUESTIONS,
    ...[...months].sort().map(builtQuestion),
    ...[...serials].sort((a, b) => a - b).map(serialQuestion),
  ];
}

/** A question by its id, also one about a build month or a serial number. Undefined for an id nobody could have got from here. */
export function questionOf(id: string): Question | undefined {
  const month = /^built:(\d{4}-(?:0[1-9]|1[0-2]))$/.exec(id)?.[1];
  if (month) return builtQuestion(month);
  const serial = /^serial:([1-9]\d{0,8})$/.exec(id)?.[1];
  if (serial) return serialQuestion(Number(serial));
  return id === CODE_QUESTION.id ? CODE_QUESTION : QUESTIONS.find((question) => question.id === id);
}
