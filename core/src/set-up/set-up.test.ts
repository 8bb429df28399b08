import { describe, expect, test } from '@jest/globals';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { sayIn } from '../fitment/say.ts';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import type { Duty } from '../duty/duty.ts';
import { figuresFor } from './figures.ts';
import { setUpFigures } from './told-figures.ts';
import { sayFigures } from './say-figures.ts';
import { piecesToReturn, setUpPoints, type LineToSet } from './set-up-points.ts';

const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      {
        ruling: (Array.isArray(value) ? value : [value]).map((one: unknown, i) => ({
          value: one,
          source: { rank: 'engine-maker', name: i === 0 ? 'the manual' : `sheet ${i + 1}` },
        })),
      },
    ]),
  );
const PLACE = {
  'position.gapMm': { low: 1.05, high: 1.15 },
  'position.torque': { lowNm: 24, highNm: 30, nominalNm: 27, condition: 'dry' },
  'position.headMetal': 'aluminium',
  'position.intervalKm': 60_000,
  'position.wrenchReaches': true,
} as const;
const PLUG = {
  'plug.gapMm': 1.1,
  'plug.gapToleranceMm': 0.05,
  'plug.gapAdjust': { kind: 'limit', mm: 0.2 },
  'plug.seat': 'gasket-fixed',
  'plug.threadDiameterMm': 14,
  'plug.plating': 'nickel',
  'plug.lifeKm': 100_000,
} as const;
const figures = (
  {
    place = {},
    plug = {},
    rules = {},
    duty = {},
  }: { place?: object; plug?: object; rules?: Partial<HouseRules>; duty?: Duty } = {},
  more: readonly { label: string; place: object }[] = [],
) => {
  const at = (label: string, facts: object) => {
    const onPaper = sheet({ ...PLACE, ...facts });
    return { label, onPaper, asked: onPaper };
  };
  return figuresFor(
    [at('1', place), at('2', place), ...more.map((one) => at(one.label, { ...place, ...one.place }))],
    sheet({ ...PLUG, ...plug }),
    duty,
    (position, part) =>
      settleRules({ defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] }, [], position, part),
  );
};
const metric = sayIn('metric');
const said = (of: Parameters<typeof figures>[0] = {}) => sayFigures(figures(of)[0]!, metric).map(({ says }) => says);

describe('what is told with a line of plugs', () => {
  test('is the gap to set, the torque and when it is due, each with who says so', () => {
    expect(sayFigures(figures()[0]!, metric)).toEqual([
      { what: 'Gap', says: '1.10 mm, in 1.05–1.15 mm', source: 'the manual' },
      { what: 'Tighten', says: '27.0 N·m, in 24.0–30.0 N·m, dry', source: 'the manual' },
      { what: 'Due', says: 'after 60\u00a0000 km', source: 'the manual' },
    ]);
    expect(figures().map(({ at }) => at)).toEqual([['1', '2']]);
    expect(setUpFigures.array().parse(figures())).toEqual(figures());
  });

  test('is told apart where a place differs: no wrench reaches cylinder 3', () => {
    const [usual, buried] = figures({}, [{ label: '3', place: { 'position.wrenchReaches': false } }]);
    expect([usual!.at, buried!.at]).toEqual([['1', '2'], ['3']]);
    expect(sayFigures(buried!, metric)[1]).toMatchObject({
      says: expect.stringMatching(/of a turn/),
      source: 'no wrench reaches',
    });
  });

  test('sources of one rank that disagree are held to what they share; with nothing in common both are told', () => {
    const two = (other: object) => said({ place: { 'position.gapMm': [{ low: 1.05, high: 1.15 }, other] } })[0];
    expect(two({ low: 1.1, high: 1.2 })).toMatch(/^1\.12 mm, in 1\.10–1\.15 mm|^1\.13 mm, in 1\.10–1\.15 mm/);
    expect(two({ low: 0.8, high: 0.9 })).toBe('1.05–1.15 mm or 0.80–0.90 mm');
  });

  test('a limit is never widened for a reader in thousandths', () => {
    const [gap] = sayFigures(figures({ place: { 'position.gapMm': { low: 0.7, high: 0.75 } } })[0]!, sayIn('imperial'));
    // 0.75 mm is 29.5 thou: as an upper limit 29, not 30.
    expect(gap!.says).toMatch(/in 28–29 thou/);
  });

  test('several grounds or a surface gap are never set, whatever the sheet says of bending', () => {
    const limit = (plug: object) => figures({ plug })[0]!.gap.limitMm;
    expect([limit({}), limit({ 'plug.groundCount': 3 }), limit({ 'plug.groundForm': 'surface' })]).toEqual([
      0.2,
      null,
      null,
    ]);
    expect(limit({ 'plug.gapAdjust': [] })).toBe('unknown');
  });

  test('a modified engine is due sooner, and a plug that does not live so long at its own life', () => {
    expect(said({ duty: { powerRatio: 1.4 } })[2]).toBe('after 30\u00a0000 km');
    const [short] = figures({ plug: { 'plug.lifeKm': 40_000 } });
    expect(short!.interval).toMatchObject({ value: 40_000, outlivesPart: true });
    expect(said({ rules: { interval: 'part-life' } })[2]).toBe('after 100\u00a0000 km');
  });

  test('greased threads are told cut, bare figures as they stand', () => {
    const greased = said({ plug: { 'plug.plating': 'none' }, rules: { threadCompound: 'always-reduced' } })[1];
    expect(greased).toBe('17.5 N·m, in 16.0–19.5 N·m, cut for compound');
  });
});

describe('what is still to be done about a line of plugs', () => {
  const line = (gaps: readonly number[], of: Parameters<typeof figures>[0] = {}): LineToSet => ({
    quantity: 4,
    figures: figures(of),
    gaps: gaps.map((gapMm, i) => ({ piece: i + 1, stage: 'before', gapMm })),
  });
  const kinds = (of: LineToSet) => setUpPoints(of, metric).map(({ kind }) => kind);

  test('one to open, one that cannot be set, one not measured: the gravest first', () => {
    const box = line([1.06, 0.94, 0.7]);
    expect(kinds(box)).toEqual(['to-return', 'to-set', 'to-measure', 'box-spread']);
    expect(setUpPoints(box, metric)[1]!.says).toBe('Plug 2: open by 0.16 mm to 1.10 mm, then gauge it again.');
    expect(piecesToReturn(box)).toEqual([3]);
  });

  test('nothing, once every piece is read inside', () => {
    expect(kinds(line([1.06, 1.1, 1.12, 1.08]))).toEqual([]);
    expect(kinds(line([], { rules: { preGapped: 'trust' } }))).toEqual([]);
  });

  test('measured with the specification missing ends open, and says what would fill it', () => {
    const [point] = setUpPoints(line([1.06, 1.1, 1.12, 1.08], { place: { 'position.gapMm': [] } }), metric);
    expect(point).toMatchObject({ kind: 'open', says: expect.stringMatching(/not known\. Look up the gap/) });
  });

  test('a sheet that looks swapped, and an interval longer than the plug lives', () => {
    const torques = [
      { lowNm: 18, highNm: 18, condition: 'dry' },
      { lowNm: 24, highNm: 25, condition: 'dry' },
    ];
    const box = line([1.06, 1.1, 1.12, 1.08], {
      place: { 'position.torque': torques },
      plug: { 'plug.lifeKm': 40_000 },
    });
    expect(kinds(box)).toEqual(['torque', 'interval']);
  });

  test('a part that was not judged has none', () => {
    expect(setUpPoints({ quantity: 4, figures: [], gaps: [] }, metric)).toEqual([]);
  });
});
