import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import { clampOverIntended, cutFor, sayClamp } from './compound.ts';
import { swappedUnits } from './swapped-units.ts';
import { torqueDesk } from './torque-desk.ts';
import { askWrench, settingFor } from './wrench.ts';

describe('two figures that are one number under two units', () => {
  // 18 lbf·ft is 24.4 N·m: printed as 18 N·m, the two lie 1.356 apart.
  test.each([
    [18, 24.4, true],
    [20, 27.1, true],
    [20, 27.9, true], // 1.395 is within three in a hundred of 1.356
    [20, 28.2, false],
    [25, 45.95, true],
    [25, 46.5, true],
    [25, 40, false],
    [25, 221, true],
    [2.5, 24.5, true],
    [12, 144, true],
    [20, 24, false],
    [25, 25, false],
    [0, 25, false],
    [0, 0, false],
    [-18, -24.4, false],
  ])('%d against %d N·m: %s', (one, other, smells) => {
    expect(swappedUnits(one, other) !== undefined).toBe(smells);
    expect(swappedUnits(other, one)?.ratio).toBe(swappedUnits(one, other)?.ratio);
  });
  test('say how far apart they are, and what was probably done; three in a hundred off is the last that does', () => {
    expect(swappedUnits(10, 13.56)).toEqual({ ratio: 1.356, says: expect.stringContaining('N·m and once in lbf·ft') });
    expect(swappedUnits(10, 18.38)!.says).toContain('converted from lbf·ft twice');
    expect(swappedUnits(10, 98.1)!.says).toContain('kgf·m');
    expect([swappedUnits(100, 1200 * 1.03), swappedUnits(100, 1200 * 1.0301)].map(Boolean)).toEqual([true, false]);
    expect([swappedUnits(0, 1), swappedUnits(1, 0), swappedUnits(-1, 12), swappedUnits(-12, -1)]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe('slips multiply', () => {
  test('greased thread and a torque rounded up from 18 to 20 clamp by seven tenths too much', () => {
    const clamp = clampOverIntended({ meantNm: 18, meantOn: 'dry', setNm: 20, usedOn: 'anti-seize' });
    expect(clamp).toBeCloseTo((20 / 18) * (0.2 / 0.13), 9);
    expect(sayClamp(clamp)).toMatchObject({ word: 'over' });
  });
  test.each([
    ['dry', 1],
    ['oil', 0.75],
    ['anti-seize', 0.65],
  ] as const)('%s: the same clamp at %d of the dry torque', (used, share) => {
    expect(cutFor(used)).toBeCloseTo(share, 9);
    expect(clampOverIntended({ meantNm: 25, meantOn: 'dry', setNm: 25 * share, usedOn: used })).toBeCloseTo(1, 9);
  });
  test('a sheet that means compound, fitted dry, clamps too little', () => {
    const clamp = clampOverIntended({ meantNm: 34, meantOn: 'anti-seize', setNm: 34, usedOn: 'dry' });
    expect(sayClamp(clamp).word).toBe('under');
    expect([1.1, 1, 0.95, 0.9].map((one) => sayClamp(one).word)).toEqual(Array(4).fill('as-meant'));
    expect([sayClamp(1.11).word, sayClamp(0.89).word]).toEqual(['over', 'under']);
  });
});

describe('a torque wrench', () => {
  const wrench = { lowNm: 5, highNm: 50 };
  test.each([
    [25, 'set'],
    [10, 'set'], // a fifth of its top
    [9.5, 'low-on-scale'],
    [4, 'below-scale'],
    [55, 'above-scale'],
    [50, 'set'], // its very top
    [50.01, 'above-scale'],
  ] as const)('of 5–50 N·m asked for %d: %s', (nm, kind) => {
    expect(askWrench(nm, wrench).kind).toBe(kind);
  });

  test('is asked from its lowest mark on, and what is set is told whatever is amiss', () => {
    const large = { lowNm: 5, highNm: 20 };
    expect(askWrench(5, large)).toEqual({ kind: 'set', setNm: 5 });
    expect(askWrench(4.99, large)).toEqual({ kind: 'below-scale', setNm: 4.99 });
    expect(askWrench(28, large)).toEqual({ kind: 'above-scale', setNm: 28 });
    // What is set decides, not what arrives.
    expect(askWrench(21, large, { leverMm: 300, extensionMm: 50, angleDeg: 0 })).toEqual({ kind: 'set', setNm: 18 });
  });

  test('an extension in line with the handle is set lower, one folded back higher, one at right angles as it is', () => {
    const at = (angleDeg: number) => settingFor(30, { leverMm: 300, extensionMm: 50, angleDeg })!;
    expect(at(0)).toBeCloseTo((30 * 300) / 350, 9);
    expect(at(180)).toBeCloseTo((30 * 300) / 250, 9);
    expect(at(90)).toBeCloseTo(30, 9);
    expect(at(60)).toBeCloseTo((30 * 300) / 325, 9);
  });

  test('no figure is given where the lever is shortened to half', () => {
    expect(askWrench(20, wrench, { leverMm: 200, extensionMm: 100, angleDeg: 180 }).kind).toBe('lever-too-short');
    expect(settingFor(20, { leverMm: 200, extensionMm: 99, angleDeg: 180 })).toBeDefined();
  });

  test('what is set on the wrench gives the torque asked, moment for moment', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(mm(150, 500), mm(0, 120), mm(0, 180), mm(5, 60), (leverMm, extensionMm, angleDeg, nm) => {
        const set = settingFor(nm, { leverMm, extensionMm, angleDeg });
        if (set === undefined) return;
        // Force at the grip mark, times its distance from the plug.
        const forceN = set / (leverMm / 1000);
        const armM = (leverMm + extensionMm * Math.cos((angleDeg * Math.PI) / 180)) / 1000;
        expect(forceN * armM).toBeCloseTo(nm, 9);
      }),
    );
  });
});

describe('the torque desk', () => {
  const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
    Object.fromEntries(
      Object.entries(facts).map(([id, value]) => [
        id,
        {
          ruling: (Array.isArray(value) ? value : [value]).map((one: unknown, i) => ({
            value: one,
            source: { rank: 'engine-maker', name: `sheet ${i + 1}` },
          })),
        },
      ]),
    );
  const DEFAULT = settleRules({ defaults: DEFAULT_HOUSE_RULES, conditional: [] }, [], {});
  const dry = (lowNm: number, highNm: number, more: object = {}) => ({ lowNm, highNm, condition: 'dry', ...more });
  const PLUG = { 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 14, 'plug.plating': 'none' };
  const desk = (position: Partial<Record<FactId, unknown>>, plug = {}, rules: Partial<HouseRules> = {}) =>
    torqueDesk(
      sheet(position),
      sheet({ ...PLUG, ...plug }),
      settleRules({ defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] }, [], {}),
    );

  test('shows every sheet, and which counts: the newer of two, and no table where a maker speaks', () => {
    const { sources, answer } = desk({
      'position.torque': [dry(15, 18, { dated: '2016-03' }), dry(20, 24, { dated: '2009-06' })],
      'position.headMetal': 'aluminium',
    });
    expect(sources.map(({ name, counts }) => [name, counts])).toEqual([
      ['sheet 1', true],
      ['sheet 2', false],
      ['General table', false],
    ]);
    expect(answer).toMatchObject({ lowNm: 15, highNm: 18, aimNm: 16.5 });
  });

  test('sheets that share a range both count', () => {
    const { sources } = desk({ 'position.torque': [dry(20, 28), dry(25, 32)] });
    expect(sources.slice(0, 2).every(({ counts }) => counts)).toBe(true);
  });

  test('asks about a sheet whose unit was swapped, and about one that this thread does not take', () => {
    const swapped = desk(
      { 'position.torque': [dry(18, 18)], 'position.headMetal': 'aluminium' },
      {
        'plug.torque': dry(24, 25),
      },
    );
    expect(swapped.questions.map(({ kind }) => kind)).toEqual(['swapped']);
    const tooMuch = desk({ 'position.torque': dry(60, 65), 'position.headMetal': 'aluminium' });
    expect(tooMuch.questions).toMatchObject([{ kind: 'implausible', usual: { highNm: 45 } }]);
    // Iron takes 52: the figure is held against the column of the metal that is known.
    const iron = { 'position.torque': dry(48, 52) };
    expect(desk({ ...iron, 'position.headMetal': 'aluminium' }).questions).toHaveLength(1);
    expect(desk({ ...iron, 'position.headMetal': 'cast-iron' }).questions).toHaveLength(0);
  });

  test('from the table aims a quarter of the way up; metal unknown, both columns are told and the lower is used', () => {
    const { sources, answer } = desk({});
    expect(sources.map(({ metal, counts }) => [metal, counts])).toEqual([
      ['aluminium', true],
      ['cast-iron', false],
    ]);
    expect(answer).toMatchObject({ lowNm: 20, highNm: 30, aimNm: 22.5, from: 'general-table' });
  });

  test('of the table is the row of its thread and seat, in the column of the head; none where either is not known', () => {
    const told = (plug: object, headMetal?: string) =>
      desk(headMetal ? { 'position.headMetal': headMetal } : {}, plug).sources.map(({ statement, metal, counts }) => [
        metal,
        statement.lowNm,
        statement.highNm,
        counts,
      ]);
    expect(told({}, 'aluminium')).toEqual([['aluminium', 20, 30, true]]);
    expect(told({}, 'cast-iron')).toEqual([['cast-iron', 25, 35, true]]);
    expect(told({ 'plug.seat': 'taper' }, 'cast-iron')).toEqual([['cast-iron', 15, 25, true]]);
    expect(told({ 'plug.threadDiameterMm': 13 })).toEqual([]);
    expect(torqueDesk({}, sheet({ 'plug.threadDiameterMm': 14 }), DEFAULT).sources).toEqual([]);
    expect(torqueDesk({}, sheet({ 'plug.seat': 'taper' }), DEFAULT)).toMatchObject({ sources: [], answer: undefined });
  });

  test('is the plug maker’s where he alone speaks, and the table is set aside for him too', () => {
    const { answer, sources } = desk({}, { 'plug.torque': dry(22, 28) });
    expect(answer).toMatchObject({ lowNm: 22, highNm: 28, from: 'plug-maker' });
    expect(sources.map(({ who, counts }) => [who, counts])).toEqual([
      ['plug-maker', true],
      ['general-table', false],
      ['general-table', false],
    ]);
  });

  test('a sheet that is set aside differs at either end; one sheet alone is never set aside', () => {
    const counts = (...sheets: object[]) =>
      desk({ 'position.torque': sheets, 'position.headMetal': 'aluminium' })
        .sources.filter(({ who }) => who === 'engine-maker')
        .map((one) => one.counts);
    const newer = { dated: '2020-01' };
    const older = { dated: '2010-01' };
    expect(counts(dry(20, 24))).toEqual([true]);
    expect(counts(dry(20, 24, newer), dry(20, 26, older))).toEqual([true, false]);
    expect(counts(dry(20, 24, newer), dry(18, 24, older))).toEqual([true, false]);
    expect(counts(dry(20, 24, newer), dry(20, 24, older))).toEqual([true, true]);
  });

  test('what is asked names both sheets; a figure at the very end of what the thread takes is not asked', () => {
    const { questions } = desk({ 'position.torque': dry(18, 18) }, { 'plug.torque': dry(24.4, 24.4) });
    expect(questions).toMatchObject([
      {
        kind: 'swapped',
        between: [{ who: 'engine-maker' }, { who: 'plug-maker' }],
        says: expect.stringContaining('N·m'),
      },
    ]);
    const asked = (low: number, high: number, plug = {}, position = {}) =>
      desk({ 'position.torque': dry(low, high), 'position.headMetal': 'aluminium', ...position }, plug).questions
        .length;
    expect([asked(12, 45), asked(11.9, 20), asked(20, 45.1)]).toEqual([0, 1, 1]);
    // A cone takes less, and where the seat is not known either may be.
    expect([asked(6, 30, { 'plug.seat': 'taper' }), asked(20, 31, { 'plug.seat': 'taper' })]).toEqual([0, 1]);
    const seatUnknown = (high: number) =>
      torqueDesk(
        sheet({ 'position.torque': dry(20, high), 'position.headMetal': 'aluminium' }),
        sheet({ 'plug.threadDiameterMm': 14 }),
        DEFAULT,
      ).questions.length;
    expect([seatUnknown(44), seatUnknown(46)]).toEqual([0, 1]);
    expect(
      torqueDesk(sheet({ 'position.torque': dry(200, 210) }), sheet({ 'plug.seat': 'taper' }), DEFAULT).questions,
    ).toEqual([]);
  });

  test.each([
    ['always-reduced', 'none', 'compound'],
    ['always-reduced', undefined, 'compound'],
    ['always-reduced', 'nickel', 'dry'],
    ['bare-threads', 'none', 'compound'],
    ['bare-threads', undefined, 'by-thread'],
    ['bare-threads', 'nickel', 'dry'],
    ['shank-only', 'none', 'dry'],
    ['never', 'none', 'dry'],
  ] as const)('by the rule %s a thread plated %s is fitted %s', (threadCompound, plating, expected) => {
    const { compound, onShank, compoundShare } = desk(
      { 'position.torque': dry(20, 30) },
      { 'plug.plating': plating ?? [] },
      { threadCompound },
    );
    expect(compound).toBe(expected);
    expect(onShank).toBe(threadCompound === 'shank-only');
    expect(compoundShare).toBeCloseTo(expected === 'dry' ? 1 : 0.65, 9);
  });

  test('turns as its seat asks, and not at all where seat or thread is not known', () => {
    const by = (plug: object) => torqueDesk({}, sheet(plug), DEFAULT).turn?.governs.map(({ gasket }) => gasket);
    expect(by({ 'plug.seat': 'taper', 'plug.threadDiameterMm': 14 })).toEqual(['none']);
    expect(by({ 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 14 })).toEqual(['new', 'used']);
    expect(by({ 'plug.seat': 'taper' })).toBeUndefined();
    expect(by({ 'plug.threadDiameterMm': 14 })).toBeUndefined();
    const half = { lowTurns: 0.5, highTurns: 0.5, from: 'fingers', gasket: 'new' };
    expect(desk({ 'position.turn': half }).turn?.by).toBe('engine-maker');
    expect(desk({ 'position.turn': half }, { 'plug.turn': half }).turn?.by).toBe('plug-maker');
  });

  test('cuts only what is meant dry, and only where compound goes on', () => {
    const share = (condition: string, compound: HouseRules['threadCompound']) =>
      desk({ 'position.torque': { lowNm: 20, highNm: 30, condition } }, {}, { threadCompound: compound }).compoundShare;
    expect(share('dry', 'always-reduced')).toBeCloseTo(0.65, 9);
    expect(share('dry', 'shank-only')).toBe(1);
    expect(share('with-compound', 'always-reduced')).toBe(1);
    expect(share('not-stated', 'always-reduced')).toBe(1);
  });

  test('where no wrench reaches, the turn is the method, whatever the shop’s rule', () => {
    expect(desk({ 'position.wrenchReaches': false }).method).toBe('no-wrench-reaches');
    expect(desk({}, {}, { tightening: 'angle' }).method).toBe('by-angle-here');
    expect(desk({}).method).toBe('wrench');
  });
});
