import { describe, expect, test } from '@jest/globals';
import type { EnginePlan } from '../engine-plan/engine-plan.ts';
import {
  answerKeptComeback,
  answerKeptLog,
  answerKeptPlugs,
  hasHere,
  strangeCylinder,
  type KeptComeback,
  type KeptLog,
  type KeptPlugs,
  type OldPartsEngine,
} from './kept-answers.ts';

const FOUR: EnginePlan = { banks: [{ label: 'row', cylinders: [1, 2, 3, 4] }], firingOrder: [1, 3, 4, 2] };

const ENGINE: OldPartsEngine = {
  sparkBy: 'coil-each',
  hasChargeCooler: null,
  hasCarburettor: null,
  hasBattery: null,
  gapLimitMm: null,
  hasLeadSet: false,
};

describe('what an engine has that may be looked for', () => {
  test.each([
    ['a coil on each plug', {}, { connectors: true, coils: true, leads: false, cap: false, battery: true }],
    [
      'coils and leads',
      { hasLeadSet: true },
      { connectors: true, coils: true, leads: true, cap: false, battery: true },
    ],
    ['a pack', { sparkBy: 'pack' }, { connectors: true, coils: true, leads: true, cap: false, battery: true }],
    ['a cap', { sparkBy: 'cap' }, { connectors: true, coils: true, leads: true, cap: true, battery: true }],
    [
      'a magneto’s single lead and no battery',
      { sparkBy: 'single-lead', hasBattery: false },
      { connectors: false, coils: false, leads: true, cap: false, battery: false },
    ],
    [
      'nothing that anybody entered: leads are looked for, and a battery is taken to be there',
      { sparkBy: null },
      { connectors: true, coils: true, leads: true, cap: false, battery: true },
    ],
  ] as const)('%s', (_, more, has) => {
    expect(hasHere({ ...ENGINE, ...more })).toEqual(has);
  });
});

describe('a cylinder that the engine does not have', () => {
  test('is named; those it has are not', () => {
    expect(strangeCylinder([1, 2, 3, 4], FOUR)).toBeUndefined();
    expect(strangeCylinder([1, 5, 6], FOUR)).toBe(5);
    expect(strangeCylinder([0], FOUR)).toBe(0);
  });
});

describe('plugs as they are kept on a slip', () => {
  const cylinder = (at: number, more: Partial<KeptPlugs['cylinders'][number]> = {}) => ({
    cylinder: at,
    looked: [],
    signs: [],
    gapMm: null,
    ...more,
  });
  const kept = (more: Partial<KeptPlugs> = {}): KeptPlugs => ({ cylinders: [], context: [], results: {}, ...more });
  const read = (plugs: KeptPlugs, engine = ENGINE, log?: KeptLog) => answerKeptPlugs(plugs, log, engine, FOUR);

  test('say nothing of a cylinder that nobody looked at', () => {
    const some = read(kept({ cylinders: [cylinder(1, { looked: ['deposit'], signs: ['powder'] })] }));
    const more = read(
      kept({ cylinders: [cylinder(1, { looked: ['deposit'], signs: ['powder'] }), cylinder(2), cylinder(3)] }),
    );
    expect(more).toEqual(some);
    expect(read(kept({ cylinders: [cylinder(1), cylinder(2)] }))).toEqual(read(kept()));
  });

  test('say nothing by a sign on a line that nobody looked at', () => {
    expect(read(kept({ cylinders: [cylinder(1, { signs: ['powder'] })] }))).toEqual(read(kept()));
    const looked = read(kept({ cylinders: [cylinder(1, { looked: ['deposit'], signs: ['powder'] })] }));
    expect(looked.ranked.map(({ cause }) => cause)).toEqual(['gasket']);
  });

  test('are read by what the engine has: a pack fires two, a charge cooler leaks', () => {
    const wet = kept({ cylinders: [2, 3].map((at) => cylinder(at, { looked: ['wet'], signs: ['fuel'] })) });
    expect(read(wet, { ...ENGINE, sparkBy: 'pack' }).ranked[0]!.patterns).toContain('pair');
    expect(read(wet).ranked[0]!.patterns).not.toContain('pair');
    const powder = kept({ cylinders: [cylinder(1, { looked: ['deposit'], signs: ['powder'] })] });
    const causes = (hasChargeCooler: boolean | null) =>
      read(powder, { ...ENGINE, hasChargeCooler }).ranked.map(({ cause }) => cause);
    expect([causes(true), causes(false), causes(null)]).toEqual([['gasket', 'cooler'], ['gasket'], ['gasket']]);
  });

  test('are told with what is known of their use', () => {
    const sooty = { cylinders: [cylinder(1, { looked: ['deposit' as const], signs: ['soot' as const] })] };
    const points = (more: Partial<KeptPlugs>) =>
      read(kept({ ...sooty, ...more })).ranked.find(({ cause }) => cause === 'short-runs')!.points;
    expect([points({}), points({ context: ['short-runs'] })]).toEqual([1, 2]);
  });

  test('a gap alone, with nothing else looked at, is held to the engine’s limit', () => {
    const gauged = kept({ cylinders: [cylinder(1, { gapMm: 1.6 })] });
    expect(read(gauged, { ...ENGINE, gapLimitMm: 1.2 })).not.toEqual(read(gauged, { ...ENGINE, gapLimitMm: 2 }));
  });

  test('a carburettor counts though nobody told of one: the engine has it', () => {
    const sooty = kept({ cylinders: [cylinder(1, { looked: ['deposit'], signs: ['soot'] })] });
    expect(read(sooty, { ...ENGINE, hasCarburettor: true })).toEqual(read({ ...sooty, context: ['carburettor'] }));
    expect(read(sooty, { ...ENGINE, hasCarburettor: false })).toEqual(read(sooty));
  });

  test('what the compression log of the same slip says to them is heard', () => {
    const wet = kept({
      cylinders: [1, 2].map((at) => cylinder(at, { looked: ['deposit'], signs: ['powder'] })),
    });
    const log: KeptLog = {
      reads: [
        { cylinder: 1, dryKpa: 600, wetKpa: null },
        { cylinder: 2, dryKpa: 620, wetKpa: null },
        { cylinder: 3, dryKpa: 1200, wetKpa: null },
        { cylinder: 4, dryKpa: 1210, wetKpa: null },
      ],
      specifiedKpa: null,
      hasDecompressor: false,
    };
    expect(answerKeptLog(log, FOUR).tellsPlugs).toBeDefined();
    expect(read(wet, ENGINE, log)).not.toEqual(read(wet));
  });
});

test('a log is read with its wet figures, and one cylinder by the engine’s own pressure', () => {
  const log = (wetKpa: number | null, specifiedKpa: number | null, cylinders = [1, 2, 3, 4]): KeptLog => ({
    reads: cylinders.map((cylinder) => ({ cylinder, dryKpa: cylinder === 2 ? 700 : 1200, wetKpa })),
    specifiedKpa,
    hasDecompressor: false,
  });
  expect(answerKeptLog(log(1250, null), FOUR)).not.toEqual(answerKeptLog(log(null, null), FOUR));
  const ONE: EnginePlan = { banks: [{ label: 'one', cylinders: [1] }], firingOrder: [1] };
  expect(answerKeptLog(log(null, 1250, [1]), ONE).says.join(' ')).toMatch(/Good against the specified pressure/);
  expect(answerKeptLog(log(null, null, [1]), ONE).says.join(' ')).toMatch(/look it up/);
});

describe('a comeback as it is kept on a slip', () => {
  const kept = (more: Partial<KeptComeback> = {}): KeptComeback => ({
    howSoon: 'once',
    misfire: 'all',
    when: [],
    lamp: 'steady',
    untouched: [],
    isToldDropped: false,
    results: {},
    code: '',
    isTakenBack: false,
    ...more,
  });
  const ranked = (more: Partial<KeptComeback>) => answerKeptComeback(kept(more), ENGINE, FOUR).ranked;

  test.each([
    ['a code of one cylinder', 'P0302', 'one'],
    ['a bare cylinder', '2', 'one'],
    ['a code of several', 'P0300', 'several'],
  ] as const)('%s outranks what was told', (_, code, misfire) => {
    expect(ranked({ code })).toEqual(ranked({ misfire }));
    expect(ranked({ code })).not.toEqual(ranked({}));
  });
  test.each([
    ['no code', ' '],
    ['a code of a cylinder it does not have', 'P0309'],
    ['a code of another system', 'P0420'],
    ['what cannot be read', 'a lamp'],
  ])('%s leaves what was told', (_, code) => {
    expect(ranked({ code })).toEqual(ranked({}));
  });
});
