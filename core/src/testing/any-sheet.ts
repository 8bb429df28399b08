import fc from 'fast-check';
import { HEAD_METALS } from '../quantities/general-torques.ts';
import { SUPPLY_STATES } from '../facts/fact-shapes.ts';
import { GROUND_FORMS, MATERIALS, PLATINGS, SEATS, SHELLS, TERMINALS } from '../facts/plug-facts.ts';
import { SOURCE_RANKS, type FactId, type FactSheet } from '../facts/facts.ts';
import type { Evidence } from '../fitment/verdict.ts';
import type { HeatScale } from '../heat-range/heat-scale.ts';

export const scale: HeatScale = {
  maker: 'Example',
  ratings: [11, 12, 13, 14, 15].map((bar) => ({ code: String(bar), indexBar: bar })),
};
export const mm = (low: number, high: number) =>
  fc.double({ min: low, max: high, noNaN: true }).map((n) => Number(n.toFixed(2)));
const span = (low: number, high: number) =>
  fc.tuple(mm(low, high), mm(0, 1)).map(([from, width]) => ({ low: from, high: from + width }));

/** Facts that the checks of a plug read. */
type PlugFactId = Extract<FactId, `${'plug' | 'position' | 'duty' | 'rule'}.${string}`>;

/** A generator of each fact's values; a fact missing here would not be tried, so the type demands all of them. */
const values: Readonly<Record<PlugFactId, fc.Arbitrary<unknown>>> = {
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
    { kind: 'required' },
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
  'position.pistonTopMm': mm(13, 36),
  'position.heat': fc.subarray(['11', '12', '13', '14', '15'], { minLength: 1 }).map((codes) => ({ scale, codes })),
  'position.aspiration': fc.constantFrom('natural', 'forced'),
  'position.fuel': fc.constantFrom('petrol', 'gas'),
  'position.shellFitted': fc.constantFrom(...SHELLS),
  'position.seizesTwoPiece': fc.boolean(),
  'plug.plating': fc.constantFrom(...PLATINGS),
  'position.headMetal': fc.constantFrom(...HEAD_METALS),
  'position.hasBattery': fc.boolean(),
  'position.comesOff': fc.constantFrom('nothing', 'cover', 'charge-pipe', 'intake', 'cowl'),
  'position.nearHot': fc.boolean(),
  'position.minutesEach': fc.constantFrom(5, 10, 60),
  'plug.torque': fc.constant({ lowNm: 20, highNm: 25, condition: 'dry' }),
  'plug.turn': fc.constant({ lowTurns: 0.5, highTurns: 0.5, from: 'fingers', gasket: 'new' }),
  'plug.instructs': fc.constant({ rule: 'threadCompound', school: 'never', says: 'dry' }),
  'position.torque': fc.constant({ lowNm: 20, highNm: 25, condition: 'dry' }),
  'position.turn': fc.constant({ lowTurns: 0.5, highTurns: 0.5, from: 'fingers', gasket: 'new' }),
  'position.instructs': fc.constant({ rule: 'grease', school: 'dry', says: 'dry' }),
  'position.wrenchReaches': fc.boolean(),
  'plug.lifeReversedKm': fc.integer({ min: 5000, max: 160_000 }),
  'position.boreMm': fc.integer({ min: 50, max: 110 }),
  'position.strokeMm': fc.integer({ min: 50, max: 120 }),
  'position.compressionRatio': fc.integer({ min: 6, max: 13 }),
  'position.ratedRpm': fc.integer({ min: 1500, max: 8000 }),
  'position.boostKpa': fc.integer({ min: 20, max: 150 }),
  'position.intervalHours': fc.integer({ min: 50, max: 3000 }),
  'position.intervalKm': fc.integer({ min: 5000, max: 160_000 }),
  'duty.heatOffsetSteps': fc.constantFrom(0, 0.5, 1, 2),
  'duty.shortColdRuns': fc.boolean(),
  'duty.classRule': fc.constantFrom(
    { kind: 'no-class' },
    { kind: 'list', className: 'C', permitted: ['EX1'] },
    { kind: 'no-list-in-force', className: 'C' },
  ),
  'rule.electrodeUpgrade': fc.constantFrom('allowed', 'as-designed'),
  'rule.twoPiece': fc.constantFrom('makers-own', 'one-piece-first'),
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
export const sheets = fc.record(Object.fromEntries(Object.entries(values).map(([id, value]) => [id, entry(value)])), {
  requiredKeys: [],
}) as fc.Arbitrary<FactSheet>;
export const evidences: fc.Arbitrary<Evidence> = fc.record(
  {
    named: fc.boolean(),
    listed: fc.boolean(),
    trailGrade: fc.constantFrom('same' as const, 'equivalent' as const, 'observed' as const),
  },
  { requiredKeys: ['named', 'listed'] },
);
