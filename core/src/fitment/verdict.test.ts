import { describe, expect, test } from '@jest/globals';
import { ALL_CHECK_IDS, type CheckId } from './check-ids.ts';
import { CHECKS_BY_KIND } from '../kinds/checks-by-kind.ts';
import type { Finding, Outcome } from './finding.ts';
import { compareInTray, type Rankable } from './ranking.ts';
import { NOTHING_FOUND, overallVerdict, relieve, tallyOf, VERDICTS, worstVerdict, type Evidence } from './verdict.ts';

const told = { asked: '', has: '', difference: null, says: 'Said.', toDo: 'Measure it.', phrase: 'Said' };
const finding = (check: CheckId, outcome: Outcome, more: Partial<Finding> = {}): Finding => ({
  check,
  outcome,
  caseId: 'missing',
  figures: {},
  told,
  sources: [],
  missing: [],
  blocks: false,
  closeness: 0,
  ...more,
});
const equivalent: Evidence = { named: false, listed: false, trailGrade: 'equivalent' };
const named: Evidence = { named: true, listed: false };
const listed: Evidence = { named: false, listed: true };
const findings = (...outcomes: Outcome[]) => outcomes.map((outcome, i) => finding(ALL_CHECK_IDS[i]!, outcome));

describe('the overall verdict', () => {
  test('any refusal refuses, whatever else', () => {
    expect(overallVerdict(findings('refuse', 'unknown', 'caution'), named)).toBe('refuse');
  });

  test('an unknown that could refuse is asked first, before any caution', () => {
    expect(overallVerdict([finding('reach', 'unknown', { blocks: true }), finding('heat', 'caution')], named)).toBe(
      'ask-first',
    );
  });

  test('an unknown that could not refuse is advice', () => {
    expect(overallVerdict([finding('supply', 'unknown')], named)).toBe('sell-with-advice');
  });

  test('a caution needs the supervisor', () => {
    expect(overallVerdict(findings('match', 'caution'), named)).toBe('needs-supervisor');
  });

  test('three acceptables are advice, four need the supervisor', () => {
    expect(overallVerdict(findings('acceptable', 'acceptable', 'acceptable'), equivalent)).toBe('sell-with-advice');
    expect(overallVerdict(findings('acceptable', 'acceptable', 'acceptable', 'acceptable'), equivalent)).toBe(
      'needs-supervisor',
    );
  });

  test('"listed, not measured" does not count toward the four', () => {
    const three = findings('acceptable', 'acceptable', 'acceptable');
    expect(overallVerdict([...three, finding('depth', 'acceptable', { relief: 'listed-not-measured' })], listed)).toBe(
      'sell-with-advice',
    );
  });

  test.each<[string, Evidence, string]>([
    ['the maker’s own number needs no trail', named, 'sell'],
    ['a listing is enough', listed, 'sell'],
    ['an equivalent trail is enough', equivalent, 'sell'],
    ['a supersession is enough', { named: false, listed: false, trailGrade: 'supersedes' }, 'sell'],
    ['an alternative earns advice', { named: false, listed: false, trailGrade: 'alternative' }, 'sell-with-advice'],
    ['an observation earns advice', { named: false, listed: false, trailGrade: 'observed' }, 'sell-with-advice'],
    ['an alternative beside a listing is enough', { named: false, listed: true, trailGrade: 'alternative' }, 'sell'],
    ['no trail and no listing earns advice', { named: false, listed: false }, 'sell-with-advice'],
  ])('when every check matches, %s', (_, evidence, verdict) => {
    expect(overallVerdict(findings('match', 'match'), evidence)).toBe(verdict);
  });

  test('what is not asked adds nothing to what was found', () => {
    expect(overallVerdict(findings('match', 'not-asked'), named)).toBe('sell');
    expect(tallyOf(finding('reach', 'not-asked'))).toBe(NOTHING_FOUND);
  });

  test('over several positions the worst counts', () => {
    expect(VERDICTS).toEqual(['refuse', 'ask-first', 'needs-supervisor', 'sell-with-advice', 'sell']);
    expect(worstVerdict(['sell', 'needs-supervisor', 'ask-first'])).toBe('ask-first');
  });
});

describe('the two reliefs', () => {
  const checkOf = (id: CheckId) =>
    Object.values(CHECKS_BY_KIND)
      .flat()
      .find((check) => check.id === id)!;
  const unknown = (check: CheckId, more: Partial<Finding> = {}) => finding(check, 'unknown', { blocks: true, ...more });
  const relieved = (found: Finding, evidence: Evidence) => relieve(checkOf(found.check), found, evidence);
  const OF_TODAY: readonly CheckId[] = ['class-list', 'supply', 'revision', 'pair'];
  const LISTING_SUFFICES: readonly CheckId[] = [
    'depth',
    'length',
    'hex-and-well',
    'shell',
    'primary',
    'secondary',
    'spark-polarity',
    'lead-resistance',
    'rotor-resistance',
  ];

  test.each(ALL_CHECK_IDS.filter((id) => !OF_TODAY.includes(id)))(
    'the maker’s own number passes an unpublished %s as specified',
    (check) => {
      const passed = { outcome: 'match', relief: 'as-specified', blocks: false };
      expect(relieved(unknown(check), named)).toMatchObject(passed);
    },
  );

  test.each(OF_TODAY)('but not %s, which is about today and this job', (check) => {
    expect(relieved(unknown(check), named).outcome).toBe('unknown');
  });

  test('what a relief says stands in place of the question, and nothing is missing any more', () => {
    const missing = unknown('depth', { missing: ['plug.lengthMm'] });
    expect(relieved(missing, named)).toMatchObject({
      missing: [],
      told: {
        says: 'Not published, but this is the number the engine maker names.',
        toDo: null,
        phrase: 'As specified by the engine maker',
      },
    });
    const taken = relieved(missing, listed);
    expect(taken).toMatchObject({ missing: [], blocks: false, relief: 'listed-not-measured' });
    expect(taken.told).toMatchObject({
      says: 'Listed by its maker for this engine and position; not measured here.',
      toDo: 'If in doubt: Measure it.',
      phrase: 'Listed, not measured',
    });
    const nothingToDo = { ...missing, told: { ...told, toDo: null } };
    expect(relieved(nothingToDo, listed).told.toDo).toBeNull();
  });

  test('nor a measurement in doubt', () => {
    expect(relieved(unknown('reach', { caseId: 'questioned' }), named).outcome).toBe('unknown');
  });

  test.each(ALL_CHECK_IDS)(
    'a listing stands in for an unmeasured depth, length, hex, shell or winding, and nothing else: %s',
    (check) => {
      const may = LISTING_SUFFICES.includes(check);
      expect(relieved(unknown(check), listed).outcome).toBe(may ? 'acceptable' : 'unknown');
    },
  );

  test('no evidence, no relief; and only an unknown is relieved', () => {
    expect(relieved(unknown('depth'), equivalent).outcome).toBe('unknown');
    expect(relieved(finding('depth', 'refuse'), named).outcome).toBe('refuse');
  });
});

describe('the order in the tray', () => {
  const base: Rankable = {
    verdict: 'sell',
    evidence: equivalent,
    closeness: 0,
    onHand: 1,
    costOverService: 500,
    printed: 'B',
  };
  test.each<[string, Partial<Rankable>, Partial<Rankable>]>([
    ['verdict by how soon it could be sold', { verdict: 'ask-first', onHand: 0 }, { verdict: 'needs-supervisor' }],
    ['refused goes last', { verdict: 'needs-supervisor' }, { verdict: 'refuse' }],
    ['named before listed', { evidence: named, closeness: 9 }, { evidence: listed }],
    ['listed before a trail', { evidence: listed }, {}],
    ['the stronger trail first', { evidence: { ...equivalent, trailGrade: 'same' } }, {}],
    [
      'any trail before size alone',
      { evidence: { ...equivalent, trailGrade: 'observed' } },
      { evidence: { named: false, listed: false } },
    ],
    ['the closer first', { closeness: 0.1, onHand: 0 }, { closeness: 0.2 }],
    ['in stock first', { costOverService: 900 }, { onHand: 0 }],
    ['the cheaper per distance first', { costOverService: 400, printed: 'Z' }, {}],
    ['an unknown cost last', {}, { costOverService: undefined, printed: 'A' }],
    ['then by number, so that it never wavers', { printed: 'A' }, {}],
  ])('%s', (_, first, second) => {
    expect(compareInTray({ ...base, ...first }, { ...base, ...second })).toBeLessThan(0);
    expect(compareInTray({ ...base, ...second }, { ...base, ...first })).toBeGreaterThan(0);
  });
});
