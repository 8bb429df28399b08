import { describe, expect, test } from '@jest/globals';
import { COIL_CHECKS } from '../coils/coil-checks.ts';
import { judgeWhileBuildUnknown } from './build-split.ts';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { judgeOverPositions, judgePart, type LineJudgement, type SharedFinding } from './judge-part.ts';
import { sayIn } from './say.ts';

const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      { ruling: [{ value, source: { rank: 'part-maker', name: 'x' } }] },
    ]),
  );
const evidence = { named: false, listed: true };
const ASK = 'When was it built?';

const engine = {
  'coilAsked.topology': 'on-plug',
  'coilAsked.towersCount': 1,
  'coilAsked.connector': 'flat-left',
  'coilAsked.pinsCount': 3,
  'coilAsked.builtInDriver': true,
  'coilAsked.bootLengthMm': 100,
  'coilAsked.grips': 'solid',
  'coilAsked.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
  'coilAsked.primaryOhm': 0.5,
  'coilAsked.sparkPolarity': 'negative',
} as const;
const coil = {
  'coil.topology': 'on-plug',
  'coil.towersCount': 1,
  'coil.connector': 'flat-left',
  'coil.pinsCount': 3,
  'coil.builtInDriver': true,
  'coil.bootLengthMm': 100,
  'coil.grips': 'solid',
  'coil.mounting': { holes: 1, spacingMm: 0, threadMm: 6 },
  'coil.primaryOhm': 0.5,
  'coil.secondary': { kind: 'not-measurable' },
  'coil.sparkPolarity': 'negative',
  'coil.revision': 'A',
  'coil.supply': { state: 'active' },
} as const;

function judge(own: Partial<Record<FactId, unknown>>, late: Partial<Record<FactId, unknown>>) {
  const forBuild = (build: string, asked: object) => ({
    build,
    judgement: judgeOverPositions([
      {
        labels: ['1'],
        judgement: judgePart(COIL_CHECKS, sheet({ ...engine, ...asked, ...coil, ...own }), evidence, sayIn('metric')),
      },
    ]),
  });
  return judgeWhileBuildUnknown([forBuild('to 2016', {}), forBuild('from 2017', late)], ASK, evidence);
}

describe('a coil for an engine whose build is not known', () => {
  test('is asked about where one build takes it and the other does not, and the sentence tells both', () => {
    const { verdict, findings } = judge({}, { 'coilAsked.pinsCount': 4 });
    expect(verdict).toBe('ask-first');
    const split = findings.find((f) => f.check === 'connector')!;
    expect(split).toMatchObject({ outcome: 'unknown', caseId: 'split', blocks: true });
    expect(split.told.says).toMatch(/to 2016: connector as asked\. from 2017: 3 pins where 4 are asked, refused\./);
    expect(split.told.toDo).toBe(ASK);
  });

  test('is sold where every build takes it', () => {
    expect(judge({}, {}).verdict).toBe('sell');
  });

  test('is refused, not asked about, where every build refuses it, though for different reasons', () => {
    const { verdict } = judge({ 'coil.pinsCount': 4 }, { 'coilAsked.pinsCount': 4, 'coilAsked.bootLengthMm': 130 });
    expect(verdict).toBe('refuse');
  });

  test('tells of every build what it asks and what comes of it, each request once, and asks for nothing that is measured', () => {
    const { findings } = judge({}, { 'coilAsked.pinsCount': 4 });
    const split = findings.find((f) => f.check === 'connector')!;
    expect(split.figures).toEqual({ builds: ['to 2016', 'from 2017'], outcomes: ['match', 'refuse'] });
    expect(split.told.asked.split(' or ')).toHaveLength(2);
    expect(split.told).toMatchObject({ difference: null, phrase: 'Fits one build and not the other' });
    expect([split.missing, split.closeness]).toEqual([[], 0]);
    // What is missing for both is as it would be for either.
    expect(findings.filter(({ caseId }) => caseId === 'split').map(({ check }) => check)).toEqual(['connector']);
  });

  test('is not said to fit neither where both builds would take it, one with a caution', () => {
    const { findings } = judge({}, { 'coilAsked.primaryOhm': 0.7 });
    const split = findings.find(({ caseId }) => caseId === 'split')!;
    expect(split.told.phrase).toBe('Depends on the build');
    expect(split.told.says).not.toMatch(/refused/);
  });

  test('is told apart by what is found, not by what comes of it alone', () => {
    const found = (outcome: 'match' | 'acceptable', phrase: string, asked: string): SharedFinding => ({
      check: 'connector',
      outcome,
      caseId: 'any',
      figures: {},
      told: { asked, has: '3 pins', difference: null, says: 'Said.', toDo: null, phrase },
      sources: [],
      missing: [],
      blocks: false,
      closeness: 0,
      onlyAt: [],
    });
    const line = (finding: SharedFinding, closeness: number): LineJudgement => ({
      findings: [finding],
      verdict: 'sell',
      closeness,
    });
    const of = (early: SharedFinding, late: SharedFinding) =>
      judgeWhileBuildUnknown(
        [
          { build: 'to 2016', judgement: line(early, 0.4) },
          { build: 'from 2017', judgement: line(late, 0.2) },
        ],
        ASK,
        evidence,
      );
    const alike = of(found('match', 'As asked', ''), found('match', 'As asked', '4 pins'));
    expect(alike.findings[0]!.caseId).toBe('any');
    // The nearer of the two: which one it is has not been refused yet.
    expect(alike.closeness).toBe(0.2);
    const sameEnd = of(found('acceptable', 'One pin free', '3 pins'), found('acceptable', 'Two pins free', ''));
    expect(sameEnd.findings[0]!).toMatchObject({ caseId: 'split', told: { asked: '3 pins' } });
    const sameWords = of(found('match', 'As asked', '3 pins'), found('acceptable', 'As asked', '3 pins'));
    expect(sameWords.findings[0]!).toMatchObject({ caseId: 'split', told: { asked: '3 pins' } });
  });

  test('has at least one build to be judged for', () => {
    expect(() => judgeWhileBuildUnknown([], ASK, evidence)).toThrow('An engine has at least one build.');
  });

  test('is asked about even where the builds differ in a caution alone', () => {
    expect(judge({}, { 'coilAsked.primaryOhm': 0.7 }).verdict).toBe('ask-first');
  });
});
