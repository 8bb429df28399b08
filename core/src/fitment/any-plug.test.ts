import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { HeatScale } from '../heat-range/heat-scale.ts';
import { CHECKS } from './check-list.ts';
import {
  GROUND_FORMS,
  MATERIALS,
  SEATS,
  SHELLS,
  SOURCE_RANKS,
  SUPPLY_STATES,
  TERMINALS,
  type FactId,
  type FactSheet,
} from './facts.ts';
import { OUTCOMES, type Finding } from './finding.ts';
import { judgePlug } from './judge-plug.ts';
import { sayIn } from './say.ts';
import type { Evidence } from './verdict.ts';

const scale: HeatScale = {
  maker: 'Example',
  ratings: [11, 12, 13, 14, 15].map((bar) => ({ code: String(bar), indexBar: bar })),
};
const mm = (low: number, high: number) =>
  fc.double({ min: low, max: high, noNaN: true }).map((n) => Number(n.toFixed(2)));
const span = (low: number, high: number) =>
  fc.tuple(mm(low, high), mm(0, 1)).map(([from, width]) => ({ low: from, high: from + width }));

/** A generator of each fact's values; a fact missing here would not be tried, so the type demands all of them. */
const values: Readonly<Record<FactId, fc.Arbitrary<unknown>>> = {
  'plug.threadDiameterMm': fc.constantFrom(12, 14, 18),
  'plug.threadPitchMm': fc.constantFrom(1, 1.25, 1.5),
  'plug.reachMm': mm(9, 27),
  'plug.threadedLengthMm': mm(8, 27),
  'plug.seat': fc.constantFrom(...SEATS),
  'plug.hexMm': fc.constantFrom(14, 15.875, 16, 17, 20.8),
  'plug.hexPoints': fc.constantFrom(6, 12),
  'plug.lengthMm': mm(38, 60),
  'plug.terminal': fc.constantFrom(...TERMINALS),
  'plug.nutCanBeFitted': fc.boolean(),
  'plug.resistor': fc.oneof(
    fc.constant({ kind: 'none' }),
    fc.constant({ kind: 'present' }),
    mm(0.5, 20).map((kohm) => ({ kind: 'value', kohm })),
  ),
  'plug.centreMaterial': fc.constantFrom(...MATERIALS),
  'plug.groundMaterial': fc.constantFrom(...MATERIALS),
  'plug.groundCount': fc.integer({ min: 1, max: 4 }),
  'plug.groundForm': fc.constantFrom(...GROUND_FORMS),
  'plug.groundThicknessMm': mm(1, 2),
  'plug.projectionMm': mm(0, 5),
  'plug.gapMm': mm(0.4, 1.6),
  'plug.gapToleranceMm': mm(0.01, 0.2),
  'plug.gapAdjust': fc.oneof(
    fc.constant({ kind: 'fixed' }),
    mm(0.05, 0.4).map((limit) => ({ kind: 'limit', mm: limit })),
  ),
  'plug.heat': mm(9, 18).map((indexBar) => ({ maker: 'Other', code: 'x', indexBar })),
  'plug.shell': fc.constantFrom(...SHELLS),
  'plug.lifeKm': fc.integer({ min: 5000, max: 160_000 }),
  'plug.supply': fc.constantFrom(...SUPPLY_STATES).map((state) => ({ state })),
  'plug.printedNumbers': fc.constantFrom(['EX1'], ['EX1R'], []),
  'position.threadDiameterMm': fc.constantFrom(12, 14, 18),
  'position.threadPitchMm': fc.constantFrom(1.25, 1.5),
  'position.reachMm': span(9, 26),
  'position.headThreadMm': mm(9, 27),
  'position.seat': fc.constantFrom('gasket', 'taper'),
  'position.hexMm': fc.constantFrom(14, 16, 20.8),
  'position.hexPoints': fc.constantFrom(6, 12),
  'position.wellBoreMm': fc.oneof(fc.constant('open'), mm(18, 30)),
  'position.lengthMm': span(38, 58),
  'position.lengthLimitMm': mm(40, 62),
  'position.terminal': fc.constantFrom('solid', 'stud', 'cup'),
  'position.resistor': fc.constantFrom(
    { kind: 'range', low: 3, high: 7.5 },
    { kind: 'none-asked' },
    { kind: 'forbidden' },
  ),
  'position.centreDesign': fc.constantFrom(...MATERIALS),
  'position.groundDesign': fc.constantFrom(...MATERIALS),
  'position.electrodeBan': fc.constantFrom('nothing', 'poorer', 'better', 'any-other'),
  'position.singlePreciousBan': fc.boolean(),
  'position.polarity': fc.constantFrom('forward', 'reverse'),
  'position.groundCount': fc.integer({ min: 1, max: 4 }),
  'position.groundForm': fc.constantFrom(...GROUND_FORMS),
  'position.gapMm': span(0.5, 1.2),
  'position.oeDepthMm': mm(12, 31),
  'position.crownMm': mm(13, 36),
  'position.heat': fc.subarray(['11', '12', '13', '14', '15'], { minLength: 1 }).map((codes) => ({ scale, codes })),
  'position.aspiration': fc.constantFrom('natural', 'forced'),
  'position.fuel': fc.constantFrom('petrol', 'gas'),
  'position.shellFitted': fc.constantFrom(...SHELLS),
  'position.seizesTwoPiece': fc.boolean(),
  'position.intervalKm': fc.integer({ min: 5000, max: 160_000 }),
  'duty.heatOffsetSteps': fc.constantFrom(0, 0.5, 1, 2),
  'duty.classRule': fc.constantFrom(
    { kind: 'no-class' },
    { kind: 'list', className: 'C', permitted: ['EX1'] },
    { kind: 'no-list-in-force', className: 'C' },
  ),
  'rule.electrodeUpgrade': fc.constantFrom('allowed', 'as-designed'),
};

const source = fc.record({ rank: fc.constantFrom(...SOURCE_RANKS), name: fc.constantFrom('one list', 'another list') });
const entry = (value: fc.Arbitrary<unknown>) => {
  const sourced = fc.record({ value, source });
  return fc.record(
    { ruling: fc.array(sourced, { minLength: 0, maxLength: 2 }), questioning: fc.array(sourced, { maxLength: 1 }) },
    { requiredKeys: ['ruling'] },
  );
};
/** Any sheet at all: facts missing, sources that disagree, hearsay beside them. */
const sheets = fc.record(Object.fromEntries(Object.entries(values).map(([id, value]) => [id, entry(value)])), {
  requiredKeys: [],
}) as fc.Arbitrary<FactSheet>;
const evidences: fc.Arbitrary<Evidence> = fc.record(
  {
    named: fc.boolean(),
    listed: fc.boolean(),
    trailGrade: fc.constantFrom('same' as const, 'equivalent' as const, 'observed' as const),
  },
  { requiredKeys: ['named', 'listed'] },
);
const say = sayIn('metric');

describe('any plug at any position, however little is known of it', () => {
  test('is answered by all sixteen checks, each with a sentence, a phrase, and a way out of an unknown', () => {
    fc.assert(
      fc.property(sheets, evidences, (sheet, evidence) => {
        const { findings, closeness } = judgePlug(sheet, evidence, say);
        expect(findings.map((f) => f.check)).toEqual(CHECKS.map((c) => c.id));
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
      { numRuns: 400 },
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
      { numRuns: 400 },
    );
  });

  test('gets no better verdict by a fact being forgotten: unknown is never a pass', () => {
    const pass = (f: Finding) => f.outcome === 'match';
    fc.assert(
      fc.property(sheets, fc.constantFrom(...CHECKS), (sheet, check) => {
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
      { numRuns: 300 },
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
    OUTCOMES.indexOf(CHECKS.find((c) => c.id === check)!.ask(sourced(facts), say).outcome);

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
        'position.crownMm': 27,
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
