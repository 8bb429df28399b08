import { describe, expect, test } from '@jest/globals';
import { PLUG_CHECKS } from './plug-checks.ts';
import type { FactSheet, FactSource, Sourced } from '../facts/facts.ts';
import { judgeOverPositions } from '../fitment/judge-part.ts';
import { judgePlug } from './judge-plug.ts';
import { reasonPhrase } from '../fitment/reason.ts';
import { resolveFigures, type RecordedFigure } from '../facts/resolve-figures.ts';
import { sayIn } from '../fitment/say.ts';

const say = sayIn('metric');
const from = (rank: FactSource['rank'], name: string = rank): FactSource => ({ rank, name });
const figure = <T>(value: T, rank: FactSource['rank'], readings = 1): RecordedFigure<T> => ({
  value,
  source: from(rank, `${rank} ${String(value)}`),
  readings,
});
const reach = PLUG_CHECKS.find((check) => check.id === 'reach')!;
const head: FactSheet = {
  'position.reachMm': { ruling: [{ value: { low: 19, high: 19 }, source: from('engine-maker') }] },
};
const withReach = (...figures: RecordedFigure<number>[]): FactSheet => ({
  ...head,
  'plug.reachMm': resolveFigures(figures)!,
});

describe('sources are ranked and shown', () => {
  test('the stronger paper rules', () => {
    expect(resolveFigures([figure(19, 'supplier'), figure(26.5, 'part-maker')])?.ruling.map((r) => r.value)).toEqual([
      26.5,
    ]);
  });

  test('a repeated gauging outranks all paper for the piece in hand', () => {
    expect(reach.ask(withReach(figure(19, 'part-maker'), figure(26.5, 'gauged', 2)), say).outcome).toBe('refuse');
  });

  test('a figure gauged once raises a question until repeated', () => {
    const finding = reach.ask(withReach(figure(19, 'part-maker'), figure(26.5, 'gauged', 1)), say);
    expect(finding).toMatchObject({ outcome: 'unknown', caseId: 'questioned', blocks: true });
    expect(finding.told.toDo).toMatch(/Measure again/);
    expect(finding.sources.at(-1)).toMatchObject({ questions: true });
  });

  test('one gauging that changes nothing asks nothing', () => {
    expect(reach.ask(withReach(figure(19, 'part-maker'), figure(19.2, 'gauged', 1)), say).outcome).toBe('match');
  });

  test('sources of one rank that disagree: judged by each, the worst counts, both are shown', () => {
    const finding = reach.ask(withReach(figure(19, 'part-maker'), figure(19.4, 'part-maker')), say);
    expect(finding.outcome).toBe('acceptable');
    expect(finding.sources.filter((use) => use.fact === 'plug.reachMm')).toHaveLength(2);
  });

  test('hearsay never passes: alone it leaves the fact unknown', () => {
    const finding = reach.ask(withReach(figure(19, 'hearsay')), say);
    expect(finding.outcome).toBe('unknown');
    expect(finding.told.says).toMatch(/not proof/);
  });

  test('hearsay never refuses: against paper it can only ask', () => {
    expect(reach.ask(withReach(figure(19, 'part-maker'), figure(26.5, 'hearsay')), say).outcome).toBe('unknown');
  });
});

describe('a part over several positions', () => {
  const sourced = <T>(value: T): { ruling: Sourced<T>[] } => ({ ruling: [{ value, source: from('engine-maker') }] });
  const single: FactSheet = {
    'plug.centreMaterial': sourced('iridium'),
    'plug.groundMaterial': sourced('nickel'),
    'plug.lifeKm': sourced(80_000),
    'position.centreDesign': sourced('platinum'),
    'position.groundDesign': sourced('platinum'),
    'position.singlePreciousBan': sourced(true),
    'position.electrodeBan': sourced('nothing'),
    'position.intervalKm': sourced(60_000),
    'position.gapMm': sourced({ low: 1, high: 1.1 }),
    'rule.electrodeUpgrade': sourced('allowed'),
  };
  const evidence = { named: false, listed: true };
  const at = (polarity: 'forward' | 'reverse') =>
    judgePlug({ ...single, 'position.polarity': sourced(polarity) }, evidence, say);

  test('is judged by its worst position, and says which those are', () => {
    const line = judgeOverPositions([
      { labels: ['1', '3'], judgement: at('forward') },
      { labels: ['2', '4'], judgement: at('reverse') },
    ]);
    expect(line.verdict).toBe('refuse');
    expect(line.findings.find((f) => f.check === 'polarity')).toMatchObject({ outcome: 'refuse', onlyAt: ['2', '4'] });
    expect(reasonPhrase(line.findings, line.verdict, evidence)).toMatch(
      /^Single precious in reverse at 2 and 4; \d+ more$/,
    );
  });

  test('that serves no position is a mistake of the caller', () => {
    expect(() => judgeOverPositions([])).toThrow(RangeError);
  });
});
