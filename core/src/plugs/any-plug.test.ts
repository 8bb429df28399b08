import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { evidences, mm, scale, sheets } from '../testing/any-sheet.ts';
import { PLUG_CHECKS } from './plug-checks.ts';
import type { FactId, FactSheet } from '../facts/facts.ts';
import { OUTCOMES, type Finding } from '../fitment/finding.ts';
import { judgePlug } from './judge-plug.ts';
import { sayIn } from '../fitment/say.ts';
import { runs } from '../testing/runs.ts';

const say = sayIn('metric');

describe('any plug at any position, however little is known of it', () => {
  test('is answered by all sixteen checks, each with a sentence, a phrase, and a way out of an unknown', () => {
    fc.assert(
      fc.property(sheets, evidences, (sheet, evidence) => {
        const { findings, closeness } = judgePlug(sheet, evidence, say);
        expect(findings.map((f) => f.check)).toEqual(PLUG_CHECKS.map((c) => c.id));
        expect(closeness).toBeGreaterThanOrEqual(0);
        for (const { outcome, told, missing, relief } of findings) {
          expect(told.says).toMatch(/\.$/u);
          expect(told.phrase).not.toBe('');
          expect(`${told.says} ${told.phrase} ${told.asked} ${told.has}`).not.toMatch(/undefined|NaN|null|\[object/);
          if (outcome === 'unknown') expect(missing.length > 0 && told.toDo !== null && told.toDo !== '').toBe(true);
          if (outcome === 'refuse') expect(told.toDo).not.toBeNull();
          expect(relief !== undefined && outcome === 'refuse').toBe(false);
        }
      }),
      { numRuns: runs(400) },
    );
  });

  test('is never sold over a refusal or an open question', () => {
    fc.assert(
      fc.property(sheets, evidences, (sheet, evidence) => {
        const { findings, verdict } = judgePlug(sheet, evidence, say);
        const refused = findings.some((f) => f.outcome === 'refuse');
        const open = findings.some((f) => f.outcome === 'unknown' && f.blocks);
        expect(verdict === 'refuse').toBe(refused);
        expect(verdict === 'ask-first').toBe(!refused && open);
        if (verdict === 'sell') expect(findings.every((f) => ['match', 'not-asked'].includes(f.outcome))).toBe(true);
      }),
      { numRuns: runs(400) },
    );
  });

  test('gets no better verdict by a fact being forgotten: unknown is never a pass', () => {
    const pass = (f: Finding) => f.outcome === 'match';
    fc.assert(
      fc.property(sheets, fc.constantFrom(...PLUG_CHECKS), (sheet, check) => {
        for (const fact of check.facts.filter(
          (id) =>
            id.startsWith('plug.') &&
            !['plug.threadedLengthMm', 'plug.seat', 'plug.gapAdjust', 'plug.gapToleranceMm', 'plug.gapMm'].includes(id),
        )) {
          const { [fact]: _forgotten, ...rest } = sheet;
          const [before, after] = [check.ask(sheet, say), check.ask(rest, say)];
          if (before.outcome === 'refuse' && before.missing.length === 0)
            expect([check.id, fact, pass(after)]).toEqual([check.id, fact, false]);
        }
      }),
      { numRuns: runs(300) },
    );
  });
});

describe('the further a plug differs, the graver the answer', () => {
  const sourced = (facts: Partial<Record<FactId, unknown>>): FactSheet =>
    Object.fromEntries(
      Object.entries(facts).map(([id, value]) => [
        id,
        { ruling: [{ value, source: { rank: 'part-maker', name: 'x' } }] },
      ]),
    );
  const gravity = (check: string, facts: Partial<Record<FactId, unknown>>) =>
    OUTCOMES.indexOf(PLUG_CHECKS.find((c) => c.id === check)!.ask(sourced(facts), say).outcome);

  test.each<[string, (offset: number) => Partial<Record<FactId, unknown>>]>([
    ['reach', (by) => ({ 'position.reachMm': { low: 19, high: 19 }, 'plug.reachMm': 19 + by })],
    ['reach', (by) => ({ 'position.reachMm': { low: 19, high: 19 }, 'plug.reachMm': 19 - by })],
    [
      'length',
      (by) => ({ 'position.lengthMm': { low: 50, high: 50 }, 'position.lengthLimitMm': 56, 'plug.lengthMm': 50 + by }),
    ],
    [
      'heat',
      (by) => ({
        'position.heat': { scale, codes: ['13'] },
        'position.aspiration': 'natural',
        'position.fuel': 'petrol',
        'duty.heatOffsetSteps': 0,
        'plug.heat': { maker: 'x', code: 'x', indexBar: 13 + by },
      }),
    ],
    [
      'heat',
      (by) => ({
        'position.heat': { scale, codes: ['13'] },
        'position.aspiration': 'forced',
        'position.fuel': 'petrol',
        'duty.heatOffsetSteps': 0,
        'plug.heat': { maker: 'x', code: 'x', indexBar: 13 - by },
      }),
    ],
    [
      'depth',
      (by) => ({
        'plug.reachMm': 19,
        'plug.projectionMm': 2 + by,
        'plug.groundForm': 'over-tip',
        'plug.groundThicknessMm': 1.4,
        'position.gapMm': { low: 1, high: 1.1 },
        'position.oeDepthMm': 23.5,
        'position.pistonTopMm': 27,
      }),
    ],
    [
      'gap',
      (by) => ({
        'position.gapMm': { low: 1, high: 1.1 },
        'plug.gapMm': 1.05 + by,
        'plug.gapToleranceMm': 0.05,
        'plug.gapAdjust': { kind: 'limit', mm: 0.3 },
      }),
    ],
  ])('%s', (check, facts) => {
    fc.assert(
      fc.property(mm(0, 8), mm(0, 2), (offset, more) => {
        expect(gravity(check, facts(offset + more))).toBeGreaterThanOrEqual(gravity(check, facts(offset)));
      }),
    );
  });
});
