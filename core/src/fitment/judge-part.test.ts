import { describe, expect, test } from '@jest/globals';
import type { Finding, Outcome } from './finding.ts';
import { judgeOverPositions, judgePart, weighFindings, type PartJudgement, type SharedFinding } from './judge-part.ts';
import { sayIn } from './say.ts';
import { supplyCheck } from './supply-check.ts';
import { sheetOf } from '../testing/sheet-of.ts';

const metric = sayIn('metric');

const LISTED = { named: false, listed: true };

/** A finding as some check may come to it. */
const finding = (outcome: Outcome, more: Partial<Finding> = {}): SharedFinding => ({
  check: 'length',
  outcome,
  caseId: outcome,
  figures: {},
  told: { asked: '', has: '', difference: null, says: `${outcome}.`, toDo: null, phrase: `it is ${outcome}` },
  sources: [],
  missing: [],
  blocks: false,
  closeness: 0,
  ...more,
  onlyAt: [],
});

describe('a part over several places', () => {
  const judgement = (
    findings: readonly Finding[],
    verdict: PartJudgement['verdict'],
    closeness: number,
  ): PartJudgement => ({
    findings,
    verdict,
    closeness,
  });
  const fits = judgement([finding('match'), finding('match', { check: 'reach' })], 'sell', 0.2);
  const short = judgement([finding('caution'), finding('match', { check: 'reach' })], 'needs-supervisor', 0.9);

  test('at one alone is what it is there', () => {
    expect(judgeOverPositions([{ labels: ['1'], judgement: fits }])).toEqual({
      findings: fits.findings.map((one) => ({ ...one, onlyAt: [] })),
      verdict: 'sell',
      closeness: 0.2,
    });
  });
  test('is as good as at the worst of them, and each finding says where it holds', () => {
    const all = judgeOverPositions([
      { labels: ['1', '2'], judgement: fits },
      { labels: ['3'], judgement: short },
    ]);
    expect([all.verdict, all.closeness]).toEqual(['needs-supervisor', 0.9]);
    expect(all.findings.map(({ outcome, onlyAt }) => [outcome, onlyAt])).toEqual([
      ['caution', ['3']],
      ['match', []],
    ]);
  });
  test('where the same holds at all of them names none', () => {
    const all = judgeOverPositions([
      { labels: ['1'], judgement: short },
      { labels: ['2'], judgement: short },
    ]);
    expect(all.findings.map(({ onlyAt }) => onlyAt)).toEqual([[], []]);
  });
  test('the same outcome for another reason is another finding', () => {
    const otherwise = judgement(
      [finding('caution', { caseId: 'longer' }), finding('match', { check: 'reach' })],
      'needs-supervisor',
      1,
    );
    const all = judgeOverPositions([
      { labels: ['1'], judgement: short },
      { labels: ['2'], judgement: otherwise },
    ]);
    expect(all.findings[0]!.onlyAt).toEqual(['1']);
  });
  test('that serves none is a mistake of ours', () => {
    expect(() => judgeOverPositions([])).toThrow(RangeError);
  });
});

describe('a part by all its checks', () => {
  const checks = [supplyCheck('plug.supply'), supplyCheck('coil.supply')];
  test('is asked of in their order, and its closeness is their sum', () => {
    const sheet = sheetOf({ 'plug.supply': { state: 'active' }, 'coil.supply': { state: 'discontinued' } });
    const { findings } = judgePart(checks, sheet, LISTED, metric);
    expect(findings.map(({ outcome }) => outcome)).toEqual(['match', 'acceptable']);
    const weighed = weighFindings(
      checks,
      [finding('match', { closeness: 0.1 }), finding('match', { closeness: 0.2 })],
      LISTED,
    );
    expect([weighed.closeness, weighed.verdict]).toEqual([0.3, 'sell']);
  });
});
