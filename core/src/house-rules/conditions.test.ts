import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { sheets } from '../testing/any-sheet.ts';
import { CONDITION_IDS, CONDITIONS, type ConditionId } from './conditions.ts';
import { JUDGING_RULES, mayDependOn } from '../kinds/judging-rules.ts';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, RULE_IDS } from './house-rules.ts';
import { saySpoke, settleRules } from './settle-rules.ts';
import { runs } from '../testing/runs.ts';

const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      { ruling: [{ value, source: { rank: 'engine-maker', name: 'sheet' } }] },
    ]),
  );

/** For each condition a place and a part where it holds, and one where it does not. Exhaustive by type. */
const BOTH_SIDES: Readonly<
  Record<ConditionId, readonly [Partial<Record<FactId, unknown>>, Partial<Record<FactId, unknown>>]>
> = {
  'procedure-stated': [{ 'position.instructs': { rule: 'grease', school: 'dry', says: 'dry' } }, {}],
  'known-to-seize': [{ 'position.seizesTwoPiece': true }, { 'position.seizesTwoPiece': false }],
  'aluminium-head': [{ 'position.headMetal': 'aluminium' }, { 'position.headMetal': 'cast-iron' }],
  'iron-head': [{ 'position.headMetal': 'cast-iron' }, { 'position.headMetal': 'aluminium' }],
  'taper-seat': [{ 'position.seat': 'taper' }, { 'position.seat': 'gasket' }],
  'no-wrench': [{ 'position.wrenchReaches': false }, { 'position.wrenchReaches': true }],
  'running-hours': [{ 'position.intervalHours': 100 }, { 'position.intervalKm': 5000 }],
  'threads-plated': [{ 'plug.plating': 'zinc' }, { 'plug.plating': 'none' }],
  'threads-bare': [{ 'plug.plating': 'none' }, { 'plug.plating': 'nickel' }],
};

describe('a condition of a house rule', () => {
  test.each(CONDITION_IDS)('%s holds where it says so, not elsewhere, and not where nothing is known', (id) => {
    const [where, elsewhere] = BOTH_SIDES[id].map(sheet);
    expect(CONDITIONS[id].holds(where!, where!)).toBe(true);
    expect(CONDITIONS[id].holds(elsewhere!, elsewhere!)).toBe(false);
    expect(CONDITIONS[id].holds({}, {})).toBe(false);
    expect(CONDITIONS[id].says).not.toMatch(/^(where|if)/i);
  });

  test('that is read from the part speaks in no rule that decides a verdict', () => {
    for (const rule of JUDGING_RULES) {
      expect(mayDependOn(rule, 'threads-bare')).toBe(false);
      expect(mayDependOn(rule, 'iron-head')).toBe(true);
    }
  });
});

describe('settled rules', () => {
  const conditional = fc.array(
    fc.record({
      rule: fc.constantFrom(...RULE_IDS),
      condition: fc.constantFrom(...CONDITION_IDS),
      school: fc.constantFrom('dry', 'never', 'makers-own', 'nonsense'),
    }),
    { maxLength: 6 },
  );

  test('are a school of each rule whatever the sheets, the shop and the slip say', () => {
    fc.assert(
      fc.property(sheets, sheets, conditional, (position, part, choices) => {
        const { rules, spoke } = settleRules(
          { defaults: DEFAULT_HOUSE_RULES, conditional: choices },
          [{ rule: 'grease', school: 'nonsense', reason: 'typed by hand' }],
          position,
          part,
        );
        for (const rule of RULE_IDS) {
          expect(HOUSE_RULES[rule].schools.map(({ id }) => id)).toContain(rules[rule]);
          expect(spoke[rule].by === 'default').toBe(saySpoke(spoke[rule]) === undefined);
        }
      }),
      { numRuns: runs(60) },
    );
  });

  test('keep the version of the shop’s choices, so that a judgement says by which it was made', () => {
    const defaults = { ...DEFAULT_HOUSE_RULES, version: 41 };
    expect(settleRules({ defaults, conditional: [] }, [], {}).rules.version).toBe(41);
  });
});
