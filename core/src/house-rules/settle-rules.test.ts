import { describe, expect, test } from '@jest/globals';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { CONDITION_IDS } from './conditions.ts';
import { mayDependOn } from '../kinds/judging-rules.ts';
import { DEFAULT_HOUSE_RULES, RULE_IDS } from './house-rules.ts';
import type { MakersInstruction } from '../facts/makers-instruction.ts';
import { settleRules, type ConditionalChoice } from './settle-rules.ts';

const sheet = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
  Object.fromEntries(
    Object.entries(facts).map(([id, value]) => [
      id,
      {
        ruling: (Array.isArray(value) ? value : [value]).map((one: unknown) => ({
          value: one,
          source: { rank: 'engine-maker', name: 'sheet' },
        })),
      },
    ]),
  );
const never: MakersInstruction = { rule: 'threadCompound', school: 'never', says: 'threads dry' };
const always: MakersInstruction = { rule: 'threadCompound', school: 'always-reduced', says: 'a trace of paste' };
const bare: ConditionalChoice = { rule: 'threadCompound', condition: 'threads-bare', school: 'bare-threads' };
const iron: ConditionalChoice = { rule: 'threadCompound', condition: 'iron-head', school: 'shank-only' };
const onSlip = { rule: 'threadCompound', school: 'always-reduced', reason: 'boat in salt water' } as const;
const compound = (
  position: Partial<Record<FactId, unknown>>,
  part: Partial<Record<FactId, unknown>> = {},
  conditional: readonly ConditionalChoice[] = [bare, iron],
  slip: readonly (typeof onSlip)[] = [],
) => {
  const { rules, spoke } = settleRules(
    { defaults: DEFAULT_HOUSE_RULES, conditional },
    slip,
    sheet(position),
    sheet(part),
  );
  return [rules.threadCompound, spoke.threadCompound.by];
};

describe('who speaks in a house rule', () => {
  test('is a maker’s instruction, then the slip, then the first condition that holds, then the shop’s default', () => {
    const ironAndBare = [{ 'position.headMetal': 'cast-iron' }, { 'plug.plating': 'none' }] as const;
    expect(compound({})).toEqual(['never', 'default']);
    expect(compound(...ironAndBare)).toEqual(['bare-threads', 'condition']);
    expect(compound(...ironAndBare, [iron, bare])).toEqual(['shank-only', 'condition']);
    expect(compound(...ironAndBare, [iron, bare], [onSlip])).toEqual(['always-reduced', 'slip']);
    expect(compound({ 'position.instructs': never }, {}, [], [onSlip])).toEqual(['never', 'maker']);
  });

  test('is a plug maker’s prohibition as well as an engine maker’s procedure', () => {
    expect(compound({}, { 'plug.instructs': never }, [], [onSlip])).toEqual(['never', 'maker']);
  });

  test('of two instructions that differ is the newer; without dates it is asked', () => {
    const dated = [
      { ...never, dated: '2020-01' },
      { ...always, dated: '2015-06' },
    ];
    expect(compound({ 'position.instructs': dated })).toEqual(['never', 'maker']);
    expect(compound({ 'position.instructs': [never, always] })).toEqual(['never', 'makers-differ']);
    expect(compound({ 'position.instructs': [never, never] })).toEqual(['never', 'maker']);
  });

  test('is nobody who names a school the rule has not', () => {
    expect(compound({ 'position.instructs': { ...never, school: 'lard' } })).toEqual(['never', 'default']);
  });
});

test('a rule that decides what is judged never depends on the part in hand', () => {
  expect(mayDependOn('electrodeUpgrade', 'threads-plated')).toBe(false);
  expect(mayDependOn('threadCompound', 'threads-plated')).toBe(true);
  for (const rule of RULE_IDS) expect(CONDITION_IDS.some((condition) => mayDependOn(rule, condition))).toBe(true);
});
