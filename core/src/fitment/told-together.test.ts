import { describe, expect, test } from '@jest/globals';
import type { Finding, Outcome } from './finding.ts';
import { judgeOverPositions, judgePart, weighFindings, type PartJudgement, type SharedFinding } from './judge-part.ts';
import { reasonPhrase } from './reason.ts';
import { sameOrRefuse } from './same-or-refuse.ts';
import { sayIn } from './say.ts';
import { supplyCheck } from './supply-check.ts';
import { fromNearestEnd, inside, within } from './tolerance.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { toldOf } from '../testing/told-as.ts';

const metric = sayIn('metric');
const LISTED = { named: false, listed: true };

describe('within a tolerance', () => {
  test.each([
    [0.3, 0.3, true],
    [19.3 - 19, 0.3, true],
    [0.3000005, 0.3, true],
    [0.30001, 0.3, false],
    [-5, 0, true],
  ])('a difference of %d is within %d: %s', (difference, limit, is) => {
    expect(within(difference, limit)).toBe(is);
  });
  test.each([
    [1, true],
    [1.1, true],
    [0.99, false],
    [1.11, false],
  ])('%d lies inside 1.0 to 1.1: %s', (value, is) => {
    expect(inside(value, { low: 1, high: 1.1 })).toBe(is);
  });
  test('the distance from a range is told from its nearer end, with its sign', () => {
    const of = (value: number) => fromNearestEnd(value, { low: 1, high: 1.1 });
    expect([of(0.9), of(1), of(1.05), of(1.1), of(1.3)]).toEqual([-0.1, 0, 0, 0, 0.2]);
  });
});

describe('supply of any kind of part', () => {
  const ask = (value: object | undefined) =>
    toldOf(supplyCheck('plug.supply').ask(sheetOf({ 'plug.supply': value }), metric));
  test('names a successor where it is known, and asks for it where not', () => {
    expect(ask({ state: 'superseded', successor: 'KN 2' })).toMatchObject({
      is: 'acceptable: superseded',
      says: 'The maker has replaced it by KN 2.',
      toDo: 'Offer KN 2.',
      phrase: 'Superseded by KN 2',
    });
    expect(ask({ state: 'superseded' })).toMatchObject({
      says: 'The maker has replaced it.',
      toDo: 'Ask what replaced it.',
      phrase: 'Superseded',
    });
  });
  test('is a question that holds nothing up, and no word of anybody stands for it', () => {
    expect(ask(undefined).is).toBe('unknown: missing, not open');
    expect(supplyCheck('coil.supply').vouchedBy).toEqual([]);
  });
});

describe('a check with two answers', () => {
  const grip = sameOrRefuse({
    id: 'grip',
    title: 'Contact',
    why: 'Because.',
    source: 'Coils: Contact',
    has: 'coil.grips',
    asked: 'coilAsked.grips',
    print: (value) => `a ${value}`,
    says: { same: 'It takes it.', other: 'It does not.' },
    toDo: 'Do not fit it.',
    phrase: (has, asked) => `${has}, not ${asked}`,
    examples: [],
  });
  test('matches the same and refuses anything else', () => {
    const ask = (has: string) => toldOf(grip.ask(sheetOf({ 'coil.grips': has, 'coilAsked.grips': 'stud' }), metric));
    expect(ask('stud')).toEqual({
      is: 'match: same',
      asked: 'a stud',
      has: 'a stud',
      says: 'It takes it.',
      phrase: 'Contact as asked',
    });
    expect(ask('solid')).toEqual({
      is: 'refuse: other',
      asked: 'a stud',
      has: 'a solid',
      says: 'It does not.',
      toDo: 'Do not fit it.',
      phrase: 'A solid, not a stud',
    });
  });
});

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

describe('the one reason of a row', () => {
  const reason = (findings: readonly SharedFinding[], evidence = LISTED) => reasonPhrase(findings, 'sell', evidence);

  test('is its gravest finding, with how many more there are, and where it holds', () => {
    expect(reason([finding('match'), finding('acceptable')])).toBe('it is acceptable');
    expect(reason([finding('acceptable'), finding('caution'), finding('match'), finding('not-asked')])).toBe(
      'it is caution; 1 more',
    );
    expect(reason([{ ...finding('refuse'), onlyAt: ['1', '3'] }])).toBe('it is refuse at 1 and 3');
  });
  test('is what it rests on where every check matches', () => {
    const all = [finding('match'), finding('not-asked')];
    expect(reasonPhrase(all, 'sell', { named: true, listed: true })).toBe('Engine maker’s own number');
    expect(reasonPhrase(all, 'sell', LISTED)).toBe('Listed by its maker; every check matches');
    expect(reasonPhrase(all, 'sell', { named: false, listed: false })).toBe('Every check matches');
    expect(reasonPhrase(all, 'ask-first', { named: false, listed: false })).toBe(
      'Every check matches, but nobody lists it',
    );
    expect(reasonPhrase(all, 'ask-first', { named: false, listed: false, trailGrade: 'observed' })).toBe(
      'Every check matches; rests on “observed”',
    );
  });
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
