import { describe, expect, test } from '@jest/globals';
import type { Finding, Outcome } from './finding.ts';
import { type SharedFinding } from './judge-part.ts';
import { reasonPhrase } from './reason.ts';

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
