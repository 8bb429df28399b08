import { describe, expect, test } from '@jest/globals';

import type { FactEntry, FactSheet, FactSource } from '../facts/facts.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { toldOf } from '../testing/told-as.ts';
import { defineCheck, worseFinding } from './define-check.ts';
import { sayIn } from './say.ts';

const metric = sayIn('metric');

/** A check as any other: a length within 1 mm matches, within 3 is acceptable, else refused; idle where nothing is asked. */
const length = defineCheck({
  id: 'length',
  title: 'Length',
  why: 'Because.',
  source: 'Plugs: Length',
  needs: ['plug.lengthMm', 'position.lengthLimitMm'],
  mayUse: ['plug.terminal', 'position.hexMm'],
  notAsked: (f) => (f['plug.terminal'] === 'cup' ? 'A cup has no length to speak of.' : undefined),
  canRefuse: (f) => f['position.hexMm'] === undefined,
  judgePart: (f) =>
    (f['plug.lengthMm'] ?? 0) > 100
      ? { outcome: 'refuse', caseId: 'longer-than-any', figures: { has: f['plug.lengthMm']!, wanted: 0 } }
      : undefined,
  judge: (f) => {
    const [has, wanted] = [f['plug.lengthMm'], f['position.lengthLimitMm']];
    const by = Math.abs(has - wanted);
    const figures = { has, wanted };
    if (by > 50) return { outcome: 'unknown', caseId: 'misread', figures, missing: ['plug.lengthMm'] };
    return by <= 1
      ? { outcome: 'match', caseId: 'same', figures, closeness: by / 3 }
      : { outcome: by <= 3 ? 'acceptable' : 'refuse', caseId: 'other', figures, closeness: by };
  },
  explain: ({ outcome, caseId, figures: g }, say) => ({
    asked: say.quantity('length', g.wanted),
    has: say.quantity('length', g.has),
    difference: null,
    says: caseId === 'misread' ? 'was it measured in inches?' : `it is ${outcome}.`,
    toDo: outcome === 'refuse' ? 'Do not fit it.' : null,
    phrase: `length ${outcome}`,
  }),
  examples: [],
});

const from = (rank: FactSource['rank'], name: string): FactSource => ({ rank, name });
/** A sheet on which a plug's length is told by several. */
const told = (entry: Partial<FactEntry<number>>): FactSheet => ({
  ...sheetOf({ 'position.lengthLimitMm': 50 }),
  'plug.lengthMm': { ruling: [], ...entry },
});
const says = (value: number, name: string, rank: FactSource['rank'] = 'part-maker') => ({
  value,
  source: from(rank, name),
});

describe('a check', () => {
  const ask = (facts: object) => toldOf(length.ask(sheetOf(facts), metric));

  test('answers by what it decides, in words that begin as sentences do', () => {
    expect(ask({ 'plug.lengthMm': 50.5, 'position.lengthLimitMm': 50 })).toEqual({
      is: 'match: same, 0.1667',
      asked: '50.0 mm',
      has: '50.5 mm',
      says: 'It is match.',
      phrase: 'Length match',
    });
    expect(ask({ 'plug.lengthMm': 54, 'position.lengthLimitMm': 50 })).toMatchObject({
      is: 'refuse: other, 4',
      toDo: 'Do not fit it.',
    });
  });

  test('names the facts it rests on with who says them, and none that it does not read', () => {
    const { sources, facts } = {
      ...length.ask(sheetOf({ 'plug.lengthMm': 50, 'position.lengthLimitMm': 50, 'plug.reachMm': 19 }), metric),
      facts: length.facts,
    };
    expect(sources.map(({ fact, source }) => `${fact}, ${source.name}`)).toEqual([
      'plug.lengthMm, sheet',
      'position.lengthLimitMm, sheet',
    ]);
    expect(facts).toEqual(['plug.lengthMm', 'position.lengthLimitMm', 'plug.terminal', 'position.hexMm']);
  });

  test('is unknown while a fact it needs is missing, asks for it, and is open only where it could refuse', () => {
    const half = length.ask(sheetOf({ 'position.lengthLimitMm': 50 }), metric);
    expect(half).toMatchObject({ outcome: 'unknown', caseId: 'missing', missing: ['plug.lengthMm'], blocks: true });
    expect(half.told).toMatchObject({ says: 'Not known: length.', phrase: 'Length not known' });
    expect(half.told.toDo).toMatch(/^Measure/);
    const mild = length.ask(sheetOf({ 'position.lengthLimitMm': 50, 'position.hexMm': 16 }), metric);
    expect(mild).toMatchObject({ outcome: 'unknown', blocks: false });
    expect(length.ask({}, metric).missing).toEqual(['plug.lengthMm', 'position.lengthLimitMm']);
  });

  test('decides by what is known where that alone decides', () => {
    expect(ask({ 'plug.lengthMm': 101 }).is).toBe('refuse: longer-than-any');
  });

  test('may find that one more thing must be known with all its facts in hand', () => {
    const misread = length.ask(sheetOf({ 'plug.lengthMm': 1.97, 'position.lengthLimitMm': 60 }), metric);
    expect(misread).toMatchObject({ outcome: 'unknown', caseId: 'misread', missing: ['plug.lengthMm'], blocks: true });
    expect(misread.told.says).toBe('Was it measured in inches?');
  });

  test('does not arise where it is idle, whatever is missing', () => {
    const idle = length.ask(sheetOf({ 'plug.terminal': 'cup' }), metric);
    expect(toldOf(idle)).toEqual({
      is: 'not-asked: not-asked',
      asked: '',
      has: '',
      says: 'A cup has no length to speak of.',
      phrase: 'Not asked',
    });
    expect([idle.missing, idle.blocks]).toEqual([[], false]);
  });

  test.each([
    ['a match', { 'plug.lengthMm': 50.5, 'position.lengthLimitMm': 50 }],
    ['a refusal', { 'plug.lengthMm': 60, 'position.lengthLimitMm': 50 }],
    ['what is missing', { 'position.lengthLimitMm': 50 }],
    ['what is idle', { 'plug.terminal': 'cup' }],
    ['what is misread', { 'plug.lengthMm': 2, 'position.lengthLimitMm': 60 }],
  ])('screens %s as it tells it, without words', (_, facts) => {
    const { told: words, ...asked } = length.ask(sheetOf(facts), metric);
    const { told: none, ...screened } = length.screen(sheetOf(facts));
    expect(screened).toEqual(asked);
    expect([none.asked, none.has, none.phrase === words.phrase]).toEqual(['', '', words.phrase === 'Not asked']);
  });
});

describe('sources that disagree', () => {
  test('are judged by each, and the gravest wins, with all of them named', () => {
    const finding = length.ask(told({ ruling: [says(50, 'list'), says(53, 'sheet'), says(51, 'box')] }), metric);
    expect(finding).toMatchObject({ outcome: 'acceptable', figures: { has: 53 } });
    // Each once, though every answer names them.
    const ofThePlug = finding.sources.filter(({ fact }) => fact === 'plug.lengthMm');
    expect(ofThePlug.map(({ source }) => source.name)).toEqual(['list', 'sheet', 'box']);
    expect(finding.sources).toHaveLength(4);
  });

  test('of the same standing that say the same are one answer', () => {
    expect(length.ask(told({ ruling: [says(50, 'list'), says(50, 'box')] }), metric).outcome).toBe('match');
  });
});

describe('a figure that is hearsay, or gauged once', () => {
  const doubted = (value: number, ruling: FactEntry<number>['ruling']) =>
    length.ask(told({ ruling, questioning: [says(value, 'a customer', 'hearsay')] }), metric);

  test('changes nothing where it agrees', () => {
    expect(doubted(50.2, [says(50, 'list')])).toMatchObject({ outcome: 'match', missing: [] });
  });

  test('never refuses: where it would, the answer becomes a question', () => {
    const finding = doubted(58, [says(50, 'list')]);
    expect(finding).toMatchObject({
      outcome: 'unknown',
      caseId: 'questioned',
      missing: ['plug.lengthMm'],
      blocks: true,
      figures: { has: 58 },
    });
    expect(finding.told.says).toBe('A customer gives another length than the record; one such figure settles nothing.');
    expect(finding.told.toDo).toMatch(/^Measure again\. Measure/);
    expect(finding.told.phrase).toBe('Length in doubt: measure again');
    expect(finding.sources.at(-1)).toEqual({
      fact: 'plug.lengthMm',
      source: from('hearsay', 'a customer'),
      questions: true,
    });
  });

  test('that would only be advice asks, and holds nothing up', () => {
    expect(doubted(52, [says(50, 'list')])).toMatchObject({ outcome: 'unknown', caseId: 'questioned', blocks: false });
  });

  test('never passes either: what is refused stays refused', () => {
    expect(doubted(50, [says(58, 'list')])).toMatchObject({ outcome: 'refuse', caseId: 'other' });
  });

  test('where nothing else is known is told beside the question, and is no proof', () => {
    const finding = doubted(50, []);
    expect(finding).toMatchObject({ outcome: 'unknown', caseId: 'missing', blocks: true });
    expect(finding.told.says).toBe('Not known: length. A customer gives a figure, but it is not proof.');
    expect(finding.sources.at(-1)).toMatchObject({ questions: true });
  });
});

describe('the graver of two findings', () => {
  const finding = (
    outcome: 'match' | 'acceptable' | 'caution' | 'refuse' | 'not-asked' | 'unknown',
    blocks = false,
  ) => ({
    ...length.screen({}),
    outcome,
    blocks,
  });
  test('goes from a refusal over an open question, a caution, a question that holds nothing up, and advice, to a match', () => {
    const order = [
      finding('refuse'),
      finding('unknown', true),
      finding('caution'),
      finding('unknown'),
      finding('acceptable'),
      finding('match'),
      finding('not-asked'),
    ];
    for (const [i, graver] of order.entries())
      for (const milder of order.slice(i + 1)) {
        expect(worseFinding(graver, milder)).toBe(graver);
        expect(worseFinding(milder, graver)).toBe(graver);
      }
  });
  test('of two alike is the first', () => {
    const [one, other] = [finding('caution'), finding('caution')];
    expect(worseFinding(one, other)).toBe(one);
  });
});

describe('a check that says little of itself', () => {
  const plain = defineCheck({
    id: 'reach',
    title: 'Reach',
    why: 'Because.',
    source: 'Plugs: Reach',
    needs: ['plug.reachMm'],
    judge: () => ({ outcome: 'match', caseId: 'same', figures: {} }),
    explain: () => ({ asked: '', has: '', difference: null, says: 'so.', toDo: null, phrase: 'so' }),
    examples: [],
  });
  test('could refuse, takes the engine maker’s own number for a missing figure, and is under no rule', () => {
    expect(plain.ask({}, metric).blocks).toBe(true);
    expect(plain.vouchedBy).toEqual(['own-number']);
    expect(['ruledBy', 'startsGroup', 'sameWithin'].filter((name) => name in plain)).toEqual([]);
    expect(plain.ask(sheetOf({ 'plug.reachMm': 19 }), metric).closeness).toBe(0);
  });
});
