import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { evidences, sheets } from '../../testing/any-sheet.ts';
import { PLUG_CHECKS } from '../plug-checks.ts';
import type { FactId, FactSheet } from '../../facts/facts.ts';
import { judgePlug } from '../judge-plug.ts';
import { sayIn } from '../../fitment/say.ts';
import { VERDICTS } from '../../fitment/verdict.ts';
import { plugsBySize } from './by-size.ts';
import { Explainer } from './explain.ts';
import { nearMisses, screenAll } from './near-miss.ts';
import { PlugColumns } from './plug-columns.ts';
import { Screen } from './screen.ts';
import { runs } from '../../testing/runs.ts';

const say = sayIn('metric');
const partOf = (sheet: FactSheet, plug: boolean): FactSheet =>
  Object.fromEntries(Object.entries(sheet).filter(([id]) => id.startsWith('plug.') === plug));
const plugs = fc.array(
  sheets.map((sheet) => partOf(sheet, true)),
  { minLength: 1, maxLength: 12 },
);
const positions = sheets.map((sheet) => partOf(sheet, false));

function columnsOf(all: readonly FactSheet[]): PlugColumns {
  const columns = new PlugColumns();
  all.forEach((sheet, i) => columns.set(`p${i}`, sheet));
  return columns;
}

describe('plugs in columns', () => {
  test('keep every fact with all its figures and sources, through any change of it', () => {
    fc.assert(
      fc.property(plugs, plugs, (before, after) => {
        const columns = columnsOf(before);
        after.forEach((sheet, i) => columns.set(`p${i}`, sheet));
        const expected = [...after, ...before.slice(after.length)];
        expect(expected.map((_, i) => columns.sheetOf(columns.placeOf(`p${i}`)!))).toEqual(expected);
        expect(columns.count).toBe(expected.length);
      }),
      { numRuns: runs(30) },
    );
  });

  test('are screened to the very verdict and closeness they are judged to, at any position and under any evidence', () => {
    fc.assert(
      fc.property(plugs, positions, evidences, (all, asked, evidence) => {
        const screen = new Screen(columnsOf(all), asked);
        for (const [place, sheet] of all.entries()) {
          const { verdict, closeness } = judgePlug({ ...sheet, ...asked }, evidence, say);
          expect(screen.judge(place, evidence)).toEqual({ verdict, closeness });
        }
        const places = Uint32Array.from(all.keys());
        const { verdicts, closeness } = screen.judgeAll(places, evidence);
        expect(all.map((_, i) => ({ verdict: VERDICTS[verdicts[i]!], closeness: closeness[i] }))).toEqual(
          all.map((_, place) => screen.judge(place, evidence)),
        );
      }),
      { numRuns: runs(60) },
    );
  });

  test('are explained in the very words and from the very sources each check would give', () => {
    fc.assert(
      fc.property(plugs, positions, (all, asked) => {
        const explainer = new Explainer(new Screen(columnsOf([...all, ...all]), asked), say);
        for (const [place, sheet] of [...all, ...all].entries())
          expect(explainer.findingsOf(place)).toEqual(
            PLUG_CHECKS.map((check) => check.ask({ ...sheet, ...asked }, say)),
          );
      }),
      { numRuns: runs(60) },
    );
  });

  test('share one wording where they differ in their makers alone', () => {
    const from = (name: string): FactSheet => ({
      'plug.reachMm': { ruling: [{ value: 19, source: { rank: 'part-maker', name } }] },
    });
    const columns = columnsOf([from('one list'), from('another list')]);
    const [one, other] = [0, 1].map((place) => new Explainer(new Screen(columns, {}), say).findingsOf(place)[1]!);
    expect(one!.sources).not.toEqual(other!.sources);
    expect(columns.checks[1]!.samples).toHaveLength(1);
  });
});

describe('the screen over all plugs', () => {
  test('names for each plug exactly the checks that refuse it', () => {
    fc.assert(
      fc.property(plugs, positions, (all, asked) => {
        const noClass: FactSheet = { ...asked, 'duty.classRule': ruled({ kind: 'no-class' }) };
        const columns = columnsOf(all);
        const misses = screenAll(columns, new Screen(columns, noClass));
        const refusing = all.map((sheet) =>
          PLUG_CHECKS.flatMap((check, i) => (check.screen({ ...sheet, ...noClass }).outcome === 'refuse' ? [i] : [])),
        );
        const named = all.map((_, place) => PLUG_CHECKS.flatMap((_check, i) => (misses[place]! & (1 << i) ? [i] : [])));
        expect(named).toEqual(refusing);
        const near = nearMisses(misses, 100);
        expect(near.reduce((sum, { count }) => sum + count, 0)).toBe(refusing.filter((r) => r.length === 1).length);
        for (const { check, nearest } of near)
          for (const place of nearest) expect(refusing[place]!.map((i) => PLUG_CHECKS[i]!.id)).toEqual([check]);
      }),
      { numRuns: runs(60) },
    );
  });
});

const ruled = (value: unknown) => ({ ruling: [{ value, source: { rank: 'engine-maker', name: 'sheet' } }] }) as never;
const sized = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(Object.entries(facts).map(([id, value]) => [id, ruled(value)]));

describe('candidates by size', () => {
  const hole = sized({
    'position.threadDiameterMm': 14,
    'position.threadPitchMm': 1.25,
    'position.reachMm': { low: 19, high: 19 },
    'position.seat': 'gasket',
  });
  const plug = {
    'plug.threadDiameterMm': 14,
    'plug.threadPitchMm': 1.25,
    'plug.reachMm': 19,
    'plug.seat': 'gasket-fixed',
  };
  test.each<[string, Partial<Record<FactId, unknown>>, boolean]>([
    ['the same size', {}, true],
    ['another diameter', { 'plug.threadDiameterMm': 12 }, false],
    ['another pitch', { 'plug.threadPitchMm': 1.5 }, false],
    ['half a millimetre longer', { 'plug.reachMm': 19.5 }, true],
    ['six tenths longer', { 'plug.reachMm': 19.6 }, false],
    ['a taper', { 'plug.seat': 'taper' }, false],
    ['a loose gasket', { 'plug.seat': 'gasket-loose' }, true],
  ])('%s', (_what, facts, found) => {
    expect([...plugsBySize(columnsOf([sized({ ...plug, ...facts })]), [hole], new Set())]).toEqual(found ? [0] : []);
  });

  test('a plug of unknown pitch, reach or seat is looked at; one of unknown diameter is not', () => {
    const without = (fact: FactId) => Object.fromEntries(Object.entries(plug).filter(([id]) => id !== fact));
    const columns = columnsOf((Object.keys(plug) as FactId[]).map((fact) => sized(without(fact))));
    expect([...plugsBySize(columns, [hole], new Set())]).toEqual([1, 2, 3]);
    expect([...plugsBySize(columns, [hole], new Set([2]))]).toEqual([1, 3]);
  });
});
