import { describe, expect, test } from '@jest/globals';
import { CAUSES } from './causes.ts';
import { heldByComeback, heldByCompression, heldByReading } from './held.ts';
import { answerReading, rankCauses, type CylinderRead, type PlugReading, type ReadEngine } from './read-plugs.ts';
import type { SignId } from './signs.ts';

// Points by hand, from the tables: a sign’s points and what is known, times the largest factor of the patterns.

const ROW: ReadEngine = {
  plan: { banks: [{ label: 'row', cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] },
  isWasteSpark: false,
  hasChargeCooler: false,
  gapLimitMm: 1.0,
};
const PACK: ReadEngine = { ...ROW, isWasteSpark: true };
const on = (cylinders: readonly number[], signs: readonly SignId[], gapMm?: number): CylinderRead[] =>
  cylinders.map((cylinder) => ({ cylinder, signs, gapMm }));
const ALL = [1, 2, 3, 4];
const reading = (cylinders: readonly CylinderRead[], more: Partial<PlugReading> = {}): PlugReading => ({
  cylinders,
  context: [],
  results: {},
  ...more,
});
const ranks = (read: PlugReading, engine = ROW) =>
  rankCauses(read, engine).map(({ cause, points }) => `${cause} ${points}`);

describe('plugs of which nothing is amiss', () => {
  const silent = { next: undefined, separateFirst: false, stop: false, sell: [], notYet: [] };
  test('say nothing while none was read, and that they are healthy once they were', () => {
    expect(answerReading(reading([]), ROW)).toEqual({ ...silent, ranked: [], says: 'Nothing is read yet.' });
    expect(answerReading(reading(on(ALL, ['tan'])), ROW)).toMatchObject({ ...silent, says: CAUSES.healthy.advice });
  });
});

describe('wear', () => {
  const worn = (cylinders: CylinderRead[], engine = ROW) => answerReading(reading(cylinders), engine);
  const proven = { sell: ['plugs'], next: undefined, says: `Found: worn. ${CAUSES.worn.advice}` };
  const likely = {
    sell: ['plugs'],
    next: { id: 'gauge-gaps', of: 'worn' },
    says: `Likely: worn. ${CAUSES.worn.advice}`,
  };
  test('is found once every gap that speaks was gauged', () => {
    expect(worn(on(ALL, ['grown'], 1.2))).toMatchObject(proven);
    expect(worn([...on([1, 2, 3], ['grown'], 1.2), ...on([4], [])])).toMatchObject(proven);
    expect(worn([...on([1, 2, 3], ['grown'], 1.2), ...on([4], ['grown'])])).toMatchObject(likely);
  });
  test('is by the eye where no limit is known, or no gap was gauged, and by the gauge where both are', () => {
    const noLimit = { ...ROW, gapLimitMm: undefined };
    expect(worn(on(ALL, ['grown'], 0.5), noLimit)).toMatchObject(likely);
    expect(worn(on(ALL, ['grown']), noLimit)).toMatchObject(likely);
    expect(worn(on(ALL, ['grown'], 0.9)).ranked).toEqual([]);
    expect(worn(on(ALL, [], 1.1))).toMatchObject(proven);
  });
});

describe('two causes near each other', () => {
  const rich = (signs: readonly SignId[], gapMm?: number, results: PlugReading['results'] = {}) =>
    answerReading(reading(on(ALL, signs, gapMm), { context: ['carburettor'], results }), ROW);
  test('are told apart by the quicker check, and neither sells before', () => {
    expect(ranks(reading(on(ALL, ['soot', 'grown']), { context: ['carburettor'] }))).toEqual([
      'rich 10.5',
      'worn 9',
      'short-runs 8',
      'too-cold 4.5',
      'healthy 1',
      'no-spark 1',
      'injector 0.25',
    ]);
    expect(rich(['soot', 'grown'])).toMatchObject({
      separateFirst: true,
      next: { id: 'gauge-gaps', of: 'worn' },
      sell: [],
      notYet: ['plugs'],
      says: 'Mixture too rich or worn: to be told apart before anything is sold.',
    });
  });
  test('are none where the second is wear that the gauge has settled', () => {
    expect(rich(['soot'], 1.2)).toMatchObject({
      separateFirst: false,
      next: { id: 'mixture', of: 'rich' },
      sell: [],
      notYet: ['plugs'],
      says: `Likely: mixture too rich. ${CAUSES.rich.advice}`,
    });
  });
  test('that could not be told lead on to the next check that was not tried', () => {
    expect(rich(['soot', 'grown'], undefined, { worn: 'cannot-tell' }).next).toMatchObject({
      id: 'mixture',
      of: 'rich',
    });
    expect(rich(['soot', 'grown'], undefined, { worn: 'cannot-tell', rich: 'cannot-tell' }).next).toMatchObject({
      id: 'ask-runs',
      of: 'short-runs',
    });
  });
  test('hold what either would sell or spoil, and nothing of a third', () => {
    const cracked = reading(on([2], ['crack', 'oil-boot']));
    expect(ranks(cracked)).toEqual(['flash 7.5', 'no-spark 6', 'seal 6', 'hot 1']);
    const answer = answerReading(cracked, ROW);
    expect(answer.notYet).toEqual(['boots', 'plugs', 'coil or lead']);
    expect(answer.next).toMatchObject({ id: 'boots-in-light', of: 'flash' });
    expect(answer.says).toBe('Spark runs down the outside or no spark: to be told apart before anything is sold.');
  });
  test('as near as each other stand as the table has them; one that was borne out stands first', () => {
    expect(ranks(reading(on([2], ['soot'])))).toEqual([
      'no-spark 3',
      'injector 1.5',
      'short-runs 1',
      'rich 1',
      'too-cold 0.75',
    ]);
    for (const cause of ['rich', 'too-cold', 'no-spark'] as const)
      expect(rankCauses(reading(on(ALL, ['soot']), { results: { [cause]: 'found' } }), ROW)[0]!.cause).toBe(cause);
  });
});

describe('two that fire together and are neighbours', () => {
  const wet = reading(on([3, 2], ['fuel']));
  test('have their compression logged first, for both would look so', () => {
    expect(ranks(wet, PACK)).toEqual(['no-spark 12.5', 'gasket 4', 'injector 2', 'rich 1']);
    expect(answerReading(wet, PACK)).toMatchObject({
      separateFirst: true,
      next: { id: 'compression', of: 'gasket' },
      says: 'No spark or coolant past the head gasket: to be told apart before anything is sold.',
    });
    expect(rankCauses(wet, PACK)[0]).toMatchObject({ cylinders: [2, 3], patterns: ['pair', 'neighbours'] });
  });
  test('and once it is good, the coil is swapped', () => {
    const good = { ...wet, compression: { kind: 'good' } as const };
    expect(ranks(good, PACK)).toEqual(['no-spark 12.5', 'injector 2', 'rich 1']);
    expect(answerReading(good, PACK)).toMatchObject({
      separateFirst: false,
      next: { id: 'swap', of: 'no-spark' },
      sell: ['coil or lead'],
    });
  });
  test('neighbours that do not fire together need no log first', () => {
    const answer = answerReading(reading(on([1, 2], ['fuel'])), PACK);
    expect([answer.ranked[0]!.cause, answer.separateFirst]).toEqual(['gasket', false]);
    expect(answer.next).toMatchObject({ id: 'swap', of: 'no-spark' });
  });
});

describe('a compression that is good', () => {
  const withGood = (sign: SignId) => reading(on([2], [sign]), { compression: { kind: 'good' } });
  test('speaks against the gasket, by five, and leaves it out where nothing is left', () => {
    expect(rankCauses(withGood('powder'), ROW)).toMatchObject([
      {
        cause: 'gasket',
        points: 2,
        by: [
          { says: 'white powder or glaze that wipes off', points: 7 },
          { says: 'compression good', points: -5 },
        ],
      },
    ]);
    expect(ranks(withGood('washed'))).toEqual(['lean 0.75']);
    expect(ranks(withGood('white'))).toEqual(['lean 3', 'hot 3']);
  });
});

test('where plugs of one side alone were read, nothing is said of a side', () => {
  const intake = on(ALL, ['soot']).map((read) => ({ ...read, place: 'intake' }));
  expect(rankCauses(reading(intake), ROW)[0]!.onlyAt).toBeUndefined();
});

test('a struck tip stops it, whatever else is seen, until it was looked at', () => {
  const struck = reading(on([2], ['struck', 'soot', 'fuel']));
  expect(answerReading(struck, ROW)).toMatchObject({ stop: true, sell: [] });
  expect(answerReading({ ...struck, results: { strike: 'cannot-tell' } }, ROW).stop).toBe(true);
  expect(answerReading({ ...struck, results: { strike: 'found' } }, ROW).stop).toBe(false);
});

describe('what is held on the slip', () => {
  const told = answerReading(reading(on([2], ['fuel'])), ROW);
  test('is nothing where the two causes would sell nothing that a slip holds', () => {
    expect(heldByReading(told)!.kinds).toEqual(['coil', 'lead-set', 'plug']);
    expect(heldByReading({ ...told, notYet: ['boots', 'oil'] })).toBeUndefined();
    expect(heldByReading({ ...told, next: undefined })!.says).toBe(
      'Old plugs, two causes alike: tell the causes apart first.',
    );
  });
  test('is all of the ignition while two neighbours are down and no leak-down test was made', () => {
    type Log = Parameters<typeof heldByCompression>[0];
    const log = (leakDownFirst: boolean) => ({ leakDownFirst }) as Log;
    expect(heldByCompression(log(true), false)).toMatchObject({
      by: 'compression',
      says: 'Compression: two neighbours are down. A leak-down test before anything is sold.',
    });
    expect(heldByCompression(log(true), false)!.kinds).toContain('plug');
    expect([heldByCompression(log(true), true), heldByCompression(log(false), false)]).toEqual([undefined, undefined]);
  });
  test('is nothing of a comeback whose fault was found, though a check is left', () => {
    const next = { id: 'boot', minutes: 2, weight: 1, perMinute: 0.5, result: undefined } as const;
    const came = { ranked: [], next, likeliest: next, found: undefined, stop: false, sell: null };
    expect(heldByComeback(came, false)!.says).toMatch(/Next: boot pressed home\.$/);
    expect(heldByComeback({ ...came, found: 'gap' }, false)).toBeUndefined();
  });
});
