import type { EnginePlan } from '../engine-plan/engine-plan.ts';
import type { CauseId } from './causes.ts';
import { answerComeback, type Comeback, type HasHere } from './comeback.ts';
import type { ComebackCheckId } from './comeback-checks.ts';
import { rankCauses, TABLES, type PlugReading, type ReadEngine, type ReadingTables } from './read-plugs.ts';
import type { SignId } from './signs.ts';

const row = (count: number, firingOrder: readonly number[]): EnginePlan => ({
  banks: [{ label: 'front to rear', cylinders: Array.from({ length: count }, (_, i) => i + 1) }],
  firingOrder,
});
const FOUR = row(4, [1, 3, 4, 2]);
const FIVE = row(5, [1, 2, 4, 5, 3]);
const SIX_VEE: EnginePlan = {
  banks: [
    { label: 'rear bank', cylinders: [1, 3, 5] },
    { label: 'front bank', cylinders: [2, 4, 6] },
  ],
  firingOrder: [1, 2, 3, 4, 5, 6],
};
const ONE = row(1, [1]);

const engine = (plan: EnginePlan, more: Partial<ReadEngine> = {}): ReadEngine => ({
  plan,
  isWasteSpark: false,
  hasChargeCooler: false,
  gapLimitMm: undefined,
  ...more,
});
const PACK = engine(FOUR, { isWasteSpark: true });
const on = (cylinders: readonly number[], signs: readonly SignId[]) =>
  cylinders.map((cylinder) => ({ cylinder, signs }));
const read = (
  cylinders: readonly number[],
  signs: readonly SignId[],
  more: Partial<Omit<PlugReading, 'cylinders'>> = {},
): PlugReading => ({ cylinders: on(cylinders, signs), context: [], results: {}, ...more });

export interface ReadingExample {
  readonly tells: string;
  readonly engine: ReadEngine;
  readonly reading: PlugReading;
  readonly first: readonly [CauseId, number];
  /** Points of the second; left out where nothing else is told. */
  readonly second?: number;
  readonly separateFirst: boolean;
}

const LOW_2_3 = { kind: 'neighbours-low', cylinders: [2, 3] } as const;
const ALL_FOUR = [1, 2, 3, 4];

/** Readings worked out by hand from the tables, with what they owe: points, and whether anything is told apart first. */
export const READING_EXAMPLES: readonly ReadingExample[] = [
  {
    tells: 'a taxi on short runs, all four sooty',
    engine: engine(FOUR),
    reading: read(ALL_FOUR, ['soot'], { context: ['short-runs'] }),
    first: ['short-runs', 16],
    second: 6,
    separateFirst: false,
  },
  {
    tells: 'all sooty, with a carburettor',
    engine: engine(FOUR),
    reading: read(ALL_FOUR, ['soot'], { context: ['carburettor'] }),
    first: ['rich', 10.5],
    second: 8,
    separateFirst: true,
  },
  {
    tells: 'a V6 whose bank 1, 3, 5 is sooty',
    engine: engine(SIX_VEE),
    reading: read([1, 3, 5], ['soot']),
    first: ['rich', 6],
    second: 2,
    separateFirst: false,
  },
  {
    tells: 'all sooty, plugs two steps colder than asked',
    engine: engine(FOUR),
    reading: read(ALL_FOUR, ['soot'], { context: ['colder'] }),
    first: ['too-cold', 12],
    second: 8,
    separateFirst: false,
  },
  {
    tells: 'one tip wet with fuel',
    engine: engine(FOUR),
    reading: read([2], ['fuel']),
    first: ['no-spark', 7.5],
    second: 6,
    separateFirst: true,
  },
  {
    tells: 'a waste-spark four, 1 and 4 wet with fuel',
    engine: PACK,
    reading: read([1, 4], ['fuel']),
    first: ['no-spark', 12.5],
    second: 2,
    separateFirst: false,
  },
  {
    tells: 'the same with 2 and 3, a pair and neighbours, compression not logged',
    engine: PACK,
    reading: read([2, 3], ['fuel']),
    first: ['no-spark', 12.5],
    separateFirst: true,
  },
  {
    tells: 'and both of them low',
    engine: PACK,
    reading: read([2, 3], ['fuel'], { compression: LOW_2_3 }),
    first: ['gasket', 16],
    second: 12.5,
    separateFirst: true,
  },
  {
    tells: 'and compression good',
    engine: PACK,
    reading: read([2, 3], ['fuel'], { compression: { kind: 'good' } }),
    first: ['no-spark', 12.5],
    separateFirst: false,
  },
  {
    tells: 'two neighbours with powder, losing coolant, both low',
    engine: engine(FOUR),
    reading: read([2, 3], ['powder'], { context: ['coolant-loss'], compression: LOW_2_3 }),
    first: ['gasket', 34],
    separateFirst: false,
  },
  {
    tells: 'a supercharged five with a charge cooler, losing coolant, powder on 2, 3 and 4',
    engine: engine(FIVE, { hasChargeCooler: true }),
    reading: read([2, 3, 4], ['powder'], { context: ['coolant-loss'] }),
    first: ['cooler', 18],
    second: 5.5,
    separateFirst: false,
  },
  {
    tells: 'one cylinder, oil on upper thread and boot, its tip tan',
    engine: engine(FOUR),
    reading: read([3], ['oil-thread', 'oil-boot', 'tan']),
    first: ['seal', 12],
    second: 3,
    separateFirst: false,
  },
  {
    tells: 'all blistered with specks, boost raised',
    engine: engine(FIVE),
    reading: read([1, 2, 3, 4, 5], ['blistered', 'specks'], { context: ['boost'] }),
    first: ['hot', 17.5],
    second: 6,
    separateFirst: false,
  },
  {
    tells: 'a pump’s one plug peened, its reach known to be wrong',
    engine: engine(ONE),
    reading: read([1], ['struck'], { context: ['wrong-reach'] }),
    first: ['strike', 16],
    separateFirst: false,
  },
];

export const HAS_ALL: HasHere = { coils: true, leads: true, cap: true, battery: true, connectors: true };
const after: Comeback = {
  howSoon: 'once',
  misfire: 'one',
  when: [],
  lamp: 'off',
  untouched: [],
  isToldDropped: false,
  results: {},
};

export interface ComebackExample {
  readonly tells: string;
  readonly has: HasHere;
  readonly comeback: Comeback;
  /** Weight per minute. */
  readonly first: readonly [ComebackCheckId, number];
  readonly second?: readonly [ComebackCheckId, number];
}

const COIL_EACH: HasHere = { ...HAS_ALL, leads: false, cap: false };
const PACKED: HasHere = { ...HAS_ALL, cap: false };

/** Comebacks worked out by hand from the table. */
export const COMEBACK_EXAMPLES: readonly ComebackExample[] = [
  {
    tells: 'one cylinder, plugs yesterday, a coil on each plug',
    has: COIL_EACH,
    comeback: { ...after, untouched: ['intake', 'earth', 'battery', 'isolated'] },
    first: ['connector', 45],
    second: ['boot', 13.5],
  },
  {
    tells: 'leads off, rough on several',
    has: PACKED,
    comeback: {
      ...after,
      misfire: 'several',
      untouched: ['connectors', 'coils', 'intake', 'earth', 'battery', 'isolated'],
    },
    first: ['crossed', 14],
    second: ['boot', 9],
  },
  {
    tells: 'intake off, the idle hunts',
    has: COIL_EACH,
    comeback: {
      ...after,
      misfire: 'idle',
      untouched: ['connectors', 'boots', 'plugs', 'coils', 'earth', 'battery', 'isolated'],
    },
    first: ['hose', 10],
  },
  {
    tells: 'a generator that does not start, its gas was shut off',
    has: HAS_ALL,
    comeback: { ...after, misfire: 'no-start' },
    first: ['restored', 48],
  },
  {
    tells: 'an earth was off, all of it rough',
    has: COIL_EACH,
    comeback: { ...after, misfire: 'all' },
    first: ['earth', 24],
  },
  {
    tells: 'battery off, the idle hunts',
    has: COIL_EACH,
    comeback: { ...after, misfire: 'idle', untouched: ['intake', 'earth', 'isolated'] },
    first: ['relearn', 6],
    second: ['connector', 3],
  },
  {
    tells: 'one cylinder, 8 000 km later',
    has: COIL_EACH,
    comeback: { ...after, howSoon: 'later' },
    first: ['other', 3],
    second: ['connector', 1.5],
  },
  {
    tells: 'told dropped; connector and boot were seen right',
    has: COIL_EACH,
    comeback: {
      ...after,
      untouched: ['intake', 'earth', 'battery', 'isolated'],
      isToldDropped: true,
      results: { connector: 'seen-right', boot: 'seen-right' },
    },
    first: ['gap', 7.5],
    second: ['number', 3.75],
  },
];

/** Points of the first two of a reading, as the examples are told. */
export const firstTwo = (
  { reading, engine: of }: Pick<ReadingExample, 'reading' | 'engine'>,
  tables: ReadingTables = TABLES,
) => rankCauses(reading, of, tables).slice(0, 2);

/** Examples whose first cause, or its points, would be another by other tables. */
export const changedBy = (tables: ReadingTables): readonly ReadingExample[] =>
  READING_EXAMPLES.filter((example) => {
    const [first] = firstTwo(example, tables);
    return first?.cause !== example.first[0] || first.points !== example.first[1];
  });
/** The first two checks of a comeback. */
export const firstChecks = ({ comeback, has }: Pick<ComebackExample, 'comeback' | 'has'>) =>
  answerComeback(comeback, has).ranked.slice(0, 2);
