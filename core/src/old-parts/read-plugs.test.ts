import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CAUSE_IDS, CAUSES, type CauseId } from './causes.ts';
import { FACTORS, patternsOf, PATTERNS } from './patterns.ts';
import { answerReading, CHECK_RESULTS, rankCauses, TABLES, type PlugReading, type ReadEngine } from './read-plugs.ts';
import { CONTEXT_IDS, givenBy, SIGN_IDS, SIGNS, type SignId } from './signs.ts';
import { changedBy, firstTwo, READING_EXAMPLES } from './worked-examples.ts';

describe('the worked examples of a reading', () => {
  test.each(READING_EXAMPLES.map((example) => [example.tells, example] as const))('%s', (_, example) => {
    const [first, second] = firstTwo(example);
    expect([first!.cause, first!.points]).toEqual(example.first);
    if (example.second !== undefined) expect(second!.points).toBe(example.second);
    const answer = answerReading(example.reading, example.engine);
    expect(answer.separateFirst).toBe(example.separateFirst);
    if (example.separateFirst) expect([answer.sell, answer.next === undefined]).toEqual([[], false]);
  });

  test('a pair that are neighbours has its compression logged before anything else; a struck tip stops everything', () => {
    const of = (tells: string) => READING_EXAMPLES.find((one) => one.tells.includes(tells))!;
    const coincide = of('compression not logged');
    expect(answerReading(coincide.reading, coincide.engine).next).toMatchObject({ id: 'compression', of: 'gasket' });
    const pump = of('pump');
    expect(answerReading(pump.reading, pump.engine)).toMatchObject({ stop: true, sell: [] });
    // Once reach and cylinder were looked at, whatever was found, the stop is over.
    const looked = { ...pump.reading, results: { strike: 'found' as const } };
    expect(answerReading(looked, pump.engine)).toMatchObject({ stop: false, separateFirst: false });
  });
});

describe('the columns of the tables', () => {
  // Sums written down from the tables by hand: a slip of the pen in any cell shows.
  test('every pattern’s factors add up', () => {
    const sums = PATTERNS.map((pattern) => CAUSE_IDS.reduce((sum, cause) => sum + FACTORS[cause][pattern], 0));
    expect(sums).toEqual([16, 13.75, 16, 20.75, 13.5, 14.5]);
  });
  test('every cause’s points over all signs add up', () => {
    const sum = (cause: CauseId) => SIGN_IDS.reduce((total, id) => total + (givenBy(id)[cause] ?? 0), 0);
    expect(Object.fromEntries(CAUSE_IDS.map((cause) => [cause, sum(cause)]))).toEqual({
      healthy: 9,
      worn: 6,
      'short-runs': 4,
      rich: 6,
      'too-cold': 3,
      lean: 8,
      hot: 17,
      'no-spark': 22,
      injector: 5,
      below: 11,
      seal: 12,
      gasket: 15,
      cooler: 7,
      ash: 5,
      strike: 12,
      reach: 12,
      flash: 16,
      loose: 14,
    });
  });
});

const VEE: ReadEngine = {
  plan: {
    banks: [
      { label: 'left', cylinders: [1, 2] },
      { label: 'right', cylinders: [3, 4] },
    ],
    firingOrder: [1, 3, 2, 4],
  },
  isWasteSpark: true,
  hasChargeCooler: false,
  gapLimitMm: 1.0,
};
const cylinderRead = fc.record({
  signs: fc.uniqueArray(fc.constantFrom(...SIGN_IDS), { maxLength: 4 }),
  gapMm: fc.option(fc.constantFrom(0.8, 1.0, 1.2), { nil: undefined }),
});
const anyReading: fc.Arbitrary<PlugReading> = fc.record({
  cylinders: fc
    .array(cylinderRead, { minLength: 4, maxLength: 4 })
    .map((reads) => reads.map((read, i) => ({ cylinder: i + 1, ...read }))),
  context: fc.uniqueArray(fc.constantFrom(...CONTEXT_IDS)),
  compression: fc.constantFrom(
    undefined,
    { kind: 'neighbours-low', cylinders: [1, 2] } as const,
    { kind: 'good' } as const,
  ),
  results: fc.dictionary(fc.constantFrom(...CAUSE_IDS), fc.constantFrom(...CHECK_RESULTS), { maxKeys: 3 }),
});
const anyEngine = fc.boolean().map((hasChargeCooler) => ({ ...VEE, hasChargeCooler }));

describe('any reading at all', () => {
  test('gives the same causes in whatever order its signs were read', () => {
    fc.assert(
      fc.property(anyReading, anyEngine, (reading, engine) => {
        const turned = {
          ...reading,
          context: [...reading.context].reverse(),
          cylinders: [...reading.cylinders].reverse().map((read) => ({ ...read, signs: [...read.signs].reverse() })),
        };
        const plain = (one: PlugReading) => rankCauses(one, engine).map(({ cause, points }) => [cause, points]);
        expect(plain(turned)).toEqual(plain(reading));
      }),
    );
  });

  test('names no cause for which no sign spoke, and a charge cooler only where there is one', () => {
    fc.assert(
      fc.property(anyReading, anyEngine, (reading, engine) => {
        for (const { cause, by } of rankCauses(reading, engine)) {
          const isRead = reading.cylinders.some(
            ({ signs, gapMm }) =>
              signs.some((id) => givenBy(id)[cause] !== undefined) ||
              ((cause === 'worn' || cause === 'healthy') && (gapMm ?? 0) > 1.0),
          );
          expect(isRead || (cause === 'gasket' && reading.compression?.kind === 'neighbours-low')).toBe(true);
          expect(by.length).toBeGreaterThan(0);
          expect(cause === 'cooler' && !engine.hasChargeCooler).toBe(false);
        }
      }),
    );
  });

  test('offers no sale before the check that separates two causes that stand near each other', () => {
    fc.assert(
      fc.property(anyReading, anyEngine, (reading, engine) => {
        const answer = answerReading(reading, engine);
        const [first, second] = answer.ranked.filter(({ cause }) => cause !== 'healthy');
        if (!first || !second || second.points < 0.75 * first.points) return;
        if (reading.results[first.cause] === 'found' || first.cause === 'worn' || second.cause === 'worn') return;
        expect(answer.sell).toEqual([]);
        expect(answer.separateFirst).toBe(true);
      }),
    );
  });

  test('is never told as certain, and never with a chance', () => {
    fc.assert(
      fc.property(anyReading, anyEngine, (reading, engine) => {
        const { says } = answerReading(reading, engine);
        expect(says).not.toMatch(/certain|definite|surely|proves|%/i);
      }),
    );
  });

  test('proposes no check that was done', () => {
    fc.assert(
      fc.property(anyReading, anyEngine, (reading, engine) => {
        const { next } = answerReading(reading, engine);
        if (next) expect(reading.results[next.of]).toBeUndefined();
      }),
    );
  });
});

test('wear is settled by the gap against its limit, whatever the tip looked like', () => {
  const of = (gapMm: number): PlugReading => ({
    cylinders: [1, 2, 3, 4].map((cylinder) => ({ cylinder, signs: ['tan', 'grown'] as const, gapMm })),
    context: [],
    results: {},
  });
  expect(answerReading(of(1.01), VEE)).toMatchObject({ sell: ['plugs'], separateFirst: false });
  expect(answerReading(of(1.0), VEE)).toMatchObject({ sell: [], says: CAUSES.healthy.advice });
});

test('two low neighbours speak for the gasket between them by themselves, as the pattern they are', () => {
  const low: PlugReading = {
    cylinders: [],
    context: [],
    results: {},
    compression: { kind: 'neighbours-low', cylinders: [1, 2] },
  };
  expect(rankCauses(low, { ...VEE, isWasteSpark: false })).toMatchObject([
    { cause: 'gasket', cylinders: [1, 2], points: 12 },
  ]);
});

test('a check that bears a cause out puts it first and opens its sale; one that does not leaves it out', () => {
  const wet: PlugReading = { cylinders: [{ cylinder: 2, signs: ['fuel'] }], context: [], results: {} };
  expect(answerReading(wet, VEE)).toMatchObject({ separateFirst: true, next: { id: 'swap' }, sell: [] });
  expect(answerReading({ ...wet, results: { 'no-spark': 'found' } }, VEE)).toMatchObject({ sell: ['coil or lead'] });
  const other = answerReading({ ...wet, results: { 'no-spark': 'not-found' } }, VEE);
  expect([other.ranked[0]!.cause, other.sell]).toEqual(['injector', []]);
});

test('another weight shows which of the worked examples it would change, and none without one', () => {
  expect(changedBy(TABLES)).toEqual([]);
  const lighter = {
    ...TABLES,
    points: (sign: SignId, cause: CauseId) =>
      sign === 'powder' && cause === 'gasket' ? 1 : TABLES.points(sign, cause),
  };
  expect(changedBy(lighter).map(({ first: [cause] }) => cause)).toEqual(['gasket']);
});

describe('how cylinders stand to each other', () => {
  test.each([
    [[1], ['one']],
    [
      [1, 2],
      ['bank', 'pair', 'neighbours'],
    ],
    [[1, 3], ['scattered']],
    [[1, 2, 3, 4], ['all']],
    [[1, 2, 3], ['scattered']],
  ] as const)('%j', (affected, patterns) => {
    expect(patternsOf(affected, VEE)).toEqual(patterns);
  });
  test('two of a bank of three are not the bank, and of a row all of them are', () => {
    const six: ReadEngine = {
      ...VEE,
      isWasteSpark: false,
      plan: {
        banks: [
          { label: 'left', cylinders: [1, 2, 3] },
          { label: 'right', cylinders: [4, 5, 6] },
        ],
        firingOrder: [1, 4, 2, 5, 3, 6],
      },
    };
    expect([[1, 3], [1, 2, 3], [4, 6, 5], []].map((affected) => patternsOf(affected, six))).toEqual([
      ['scattered'],
      ['bank'],
      ['bank'],
      [],
    ]);
  });
  test('a pair that fires together is none where each has its own coil', () => {
    expect(patternsOf([1, 2], { ...VEE, isWasteSpark: false })).toEqual(['bank', 'neighbours']);
  });
});

test('every sign says why, and every cause what is done', () => {
  for (const id of SIGN_IDS) expect(SIGNS[id].why).toMatch(/\.$/);
  for (const id of CAUSE_IDS) expect(CAUSES[id].advice).toMatch(/\.$/);
});
