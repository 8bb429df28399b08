import { describe, expect, test } from '@jest/globals';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { sayIn } from '../fitment/say.ts';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house-rules/house-rules.ts';
import { settleRules } from '../house-rules/settle-rules.ts';
import { compoundOn } from '../torque/torque-desk.ts';
import { sayTightening } from './tighten.ts';

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
const dry = (lowNm: number, highNm: number, more: object = {}) => ({ lowNm, highNm, condition: 'dry', ...more });
const GASKET_14 = { 'plug.seat': 'gasket-fixed', 'plug.threadDiameterMm': 14 };
const settled = (rules: Partial<HouseRules> = {}) =>
  settleRules({ defaults: { ...DEFAULT_HOUSE_RULES, ...rules }, conditional: [] }, [], {});
const say = (
  position: Partial<Record<FactId, unknown>>,
  plug: Partial<Record<FactId, unknown>> = {},
  rules: Partial<HouseRules> = {},
) => sayTightening(sheet(position), sheet({ ...GASKET_14, ...plug }), settled(rules), sayIn('metric'));

describe('how far a plug is tightened', () => {
  test('one maker’s two sheets: the newer counts, and both are printed', () => {
    const told = say({ 'position.torque': [dry(28, 34, { dated: '2009-06' }), dry(22, 26, { dated: '2016-03' })] });
    expect(told).toMatch(/^22\.0–26\.0 N·m, aim at 24\.0/);
    expect(told).toMatch(/28\.0–34\.0 N·m and 22\.0–26\.0 N·m \(the newer sheet counts\)/);
  });

  test('undated sheets that share a range are told by it, those that share none by the lower', () => {
    expect(say({ 'position.torque': [dry(20, 28), dry(25, 32)] })).toMatch(/^25\.0–28\.0 N·m.*what its sheets share/);
    expect(say({ 'position.torque': [dry(20, 24), dry(30, 34)] })).toMatch(/^20\.0–24\.0 N·m.*the lower of its sheets/);
  });

  test('the plug maker’s alone says whose it is, and the general table says that it is one', () => {
    expect(say({}, { 'plug.torque': dry(25, 30) })).toMatch(/plug maker’s; the engine maker’s is not known/);
    expect(say({ 'position.headMetal': 'aluminium' })).toMatch(/General table\.$/);
  });

  test('without a thread the table knows, or without seat and thread, nothing is made up', () => {
    expect(say({ 'position.headMetal': 'aluminium' }, { 'plug.threadDiameterMm': 16 })).toMatch(/No general torque/);
    expect(sayTightening({}, {}, settled(), sayIn('metric'))).toMatch(/not known: look up the plug’s thread and seat/);
  });

  test('by turn the plug maker’s governs and the engine maker’s other one stands beside it', () => {
    const turn = (turns: number) => ({ lowTurns: turns, highTurns: turns, from: 'fingers', gasket: 'new' });
    const told = say({ 'position.turn': turn(2 / 3) }, { 'plug.turn': turn(0.5) }, { tightening: 'angle' });
    expect(told).toMatch(
      /^By turn: from finger-tight ½ of a turn on a new gasket\. The plug maker’s\. The engine maker says/,
    );
    expect(told).toContain('⅔ of a turn');
  });

  test('a turn is never cut for compound', () => {
    const rules = { tightening: 'angle', threadCompound: 'always-reduced' } as const;
    expect(say({}, { 'plug.plating': 'none' }, rules)).toBe(
      say({}, { 'plug.plating': 'none' }, { tightening: 'angle' }),
    );
  });
});

describe('compound on the threads', () => {
  const on = (plating: string | undefined, threadCompound: HouseRules['threadCompound']) =>
    compoundOn(settled({ threadCompound }), plating === undefined ? {} : sheet({ 'plug.plating': plating }));
  test.each([
    ['nickel', 'always-reduced', 'dry'],
    ['none', 'always-reduced', 'compound'],
    ['none', 'bare-threads', 'compound'],
    [undefined, 'bare-threads', 'by-thread'],
    [undefined, 'never', 'dry'],
    ['none', 'shank-only', 'dry'],
  ] as const)('plating %s under the school %s: %s', (plating, school, expected) => {
    expect(on(plating, school)).toBe(expected);
  });
});
