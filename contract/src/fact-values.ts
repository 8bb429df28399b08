import { z } from 'zod';
import { CONNECTORS, GRIPS, TOPOLOGIES } from '@brackenfell/core/facts/coil-facts';
import { CAP_FIXINGS, SHAFTS } from '@brackenfell/core/facts/distributor-facts';
import { SUPPLY_STATES } from '@brackenfell/core/facts/fact-shapes';
import {
  GROUND_FORMS,
  MATERIALS,
  PLATINGS,
  SEATS,
  SHELLS,
  TERMINALS,
  type FactId,
} from '@brackenfell/core/facts/facts';
import { HOUSE_RULES, RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { TORQUE_CONDITIONS, TURN_GASKETS, TURN_STARTS } from '@brackenfell/core/facts/torque-statements';
import { HEAD_METALS } from '@brackenfell/core/quantities/general-torques';
import { LEAD_BOOTS, SOURCE_ENDS } from '@brackenfell/core/facts/lead-facts';

const mm = z.number().positive().max(200);
/** A range; a single figure is a range whose ends are one. */
export const span = z
  .object({ low: z.number().positive(), high: z.number().positive() })
  .refine((s) => s.low <= s.high, 'low must not exceed high');
const supply = z.object({ state: z.enum(SUPPLY_STATES), successor: z.string().optional() });
const count = z.number().int().min(1).max(24);
const ohm = z.number().positive().max(100);
const deg = z.number().min(0).max(360);
const word = z.string().min(1).max(20);
const mounting = z.object({ holes: count, spacingMm: z.number().min(0).max(200), threadMm: mm });
const sparkPolarity = z.enum(['negative', 'positive']);
const askedHeat = z.object({ maker: z.string(), codes: z.array(z.string()).min(1) });

const month = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/);
const torque = z
  .object({
    lowNm: z.number().min(2).max(150),
    highNm: z.number().min(2).max(150),
    nominalNm: z.number().min(2).max(150).optional(),
    condition: z.enum(TORQUE_CONDITIONS),
    dated: month.optional(),
  })
  .refine((t) => t.lowNm <= t.highNm, 'low must not exceed high');
const turn = z
  .object({
    lowTurns: z.number().positive().max(2),
    highTurns: z.number().positive().max(2),
    from: z.enum(TURN_STARTS),
    gasket: z.enum(TURN_GASKETS),
  })
  .refine((t) => t.lowTurns <= t.highTurns, 'low must not exceed high');
/** What a maker instructs where shops choose for themselves: one of a house rule's schools. */
const instruction = z
  .object({
    rule: z.enum(RULE_IDS),
    school: z.string().min(1).max(40),
    says: z.string().min(1).max(300),
    dated: month.optional(),
  })
  .refine(
    ({ rule, school }) => HOUSE_RULES[rule].schools.some(({ id }) => id === school),
    'no such school of that rule',
  );

/** What a recorded value of each fact looks like in files and in the database. Heat is recorded by maker and code. */
export const RECORDED_FACTS = {
  'plug.threadDiameterMm': mm,
  'plug.threadPitchMm': mm,
  'plug.reachMm': mm,
  'plug.threadedLengthMm': mm,
  'plug.seat': z.enum(SEATS),
  'plug.hexMm': mm,
  'plug.hexPoints': z.union([z.literal(6), z.literal(12)]),
  'plug.lengthMm': mm,
  'plug.terminal': z.enum(TERMINALS),
  'plug.nutCanBeFitted': z.boolean(),
  'plug.resistor': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('none') }),
    z.object({ kind: z.literal('present') }),
    z.object({ kind: z.literal('value'), kohm: z.number().positive() }),
  ]),
  'plug.centreMaterial': z.enum(MATERIALS),
  'plug.groundMaterial': z.enum(MATERIALS),
  'plug.groundCount': z.number().int().min(1).max(4),
  'plug.groundForm': z.enum(GROUND_FORMS),
  'plug.groundThicknessMm': mm,
  'plug.projectionMm': z.number().min(-2).max(10),
  'plug.gapMm': mm,
  'plug.gapToleranceMm': mm,
  'plug.gapAdjust': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('fixed') }),
    z.object({ kind: z.literal('limit'), mm: z.number().positive() }),
  ]),
  'plug.heat': z.object({ maker: z.string(), code: z.string() }),
  'plug.shell': z.enum(SHELLS),
  'plug.lifeKm': z.number().positive(),
  'plug.lifeReversedKm': z.number().positive(),
  'plug.torque': torque,
  'plug.turn': turn,
  'plug.instructs': instruction,
  'plug.supply': supply,
  'plug.plating': z.enum(PLATINGS),
  'position.threadDiameterMm': mm,
  'position.threadPitchMm': mm,
  'position.reachMm': span,
  'position.headThreadMm': mm,
  'position.seat': z.enum(['gasket', 'taper']),
  'position.hexMm': mm,
  'position.hexPoints': z.union([z.literal(6), z.literal(12)]),
  'position.wellBoreMm': z.union([mm, z.literal('open')]),
  'position.lengthMm': span,
  'position.lengthLimitMm': mm,
  'position.terminal': z.enum(['solid', 'stud', 'cup']),
  'position.resistor': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('range'), low: z.number().positive(), high: z.number().positive() }),
    z.object({ kind: z.literal('required') }),
    z.object({ kind: z.literal('none-asked') }),
    z.object({ kind: z.literal('forbidden') }),
  ]),
  'position.centreDesign': z.enum(MATERIALS),
  'position.groundDesign': z.enum(MATERIALS),
  'position.electrodeBan': z.enum(['nothing', 'poorer', 'better', 'any-other']),
  'position.singlePreciousBan': z.boolean(),
  'position.polarity': z.enum(['forward', 'reverse']),
  'position.groundCount': z.number().int().min(1).max(4),
  'position.groundForm': z.enum(GROUND_FORMS),
  'position.gapMm': span,
  'position.oeDepthMm': mm,
  'position.crownMm': mm,
  'position.heat': askedHeat,
  'position.aspiration': z.enum(['natural', 'forced']),
  'position.fuel': z.enum(['petrol', 'gas']),
  'position.shellFitted': z.enum(SHELLS),
  'position.seizesTwoPiece': z.boolean(),
  'position.intervalKm': z.number().positive(),
  'position.intervalHours': z.number().positive().max(100_000),
  'position.torque': torque,
  'position.turn': turn,
  'position.instructs': instruction,
  'position.wrenchReaches': z.boolean(),
  'position.headMetal': z.enum(HEAD_METALS),
  'position.hasBattery': z.boolean(),

  'coil.topology': z.enum(TOPOLOGIES),
  'coil.towersCount': count,
  'coil.connector': z.enum(CONNECTORS),
  'coil.pinsCount': count,
  'coil.builtInDriver': z.boolean(),
  'coil.bootLengthMm': mm,
  'coil.bootAngleDeg': deg,
  'coil.grips': z.enum(GRIPS),
  'coil.mounting': mounting,
  'coil.primaryOhm': ohm,
  'coil.secondary': z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('kohm'), kohm: z.number().positive() }),
    z.object({ kind: z.literal('not-measurable') }),
  ]),
  'coil.sparkPolarity': sparkPolarity,
  'coil.revision': word,
  'coil.supply': supply,
  'coilAsked.topology': z.enum(TOPOLOGIES),
  'coilAsked.towersCount': count,
  'coilAsked.connector': z.enum(CONNECTORS),
  'coilAsked.pinsCount': count,
  'coilAsked.builtInDriver': z.boolean(),
  'coilAsked.bootLengthMm': mm,
  'coilAsked.bootAngleDeg': deg,
  'coilAsked.grips': z.enum(GRIPS),
  'coilAsked.mounting': mounting,
  'coilAsked.primaryOhm': z.union([ohm, span]),
  'coilAsked.secondaryKohm': z.number().positive(),
  'coilAsked.sparkPolarity': sparkPolarity,
  'coilAsked.revisions': z.array(word).min(1).max(9),
  'coilAsked.oneRevision': z.boolean(),

  'leads.set': z
    .array(
      z.object({
        lengthMm: z.number().positive().max(3000),
        boot: z.enum(LEAD_BOOTS),
        source: z.enum(SOURCE_ENDS),
        kohmPerM: z.number().min(0).max(100),
        coilLead: z.boolean().optional(),
      }),
    )
    .min(1)
    .max(24),
  'leads.supply': supply,
  'leadsAsked.routes': z
    .array(z.object({ to: word, routedMm: z.number().positive().max(3000), boots: z.array(z.enum(LEAD_BOOTS)).min(1) }))
    .min(1)
    .max(24),
  'leadsAsked.source': z.enum(SOURCE_ENDS),
  'leadsAsked.kohmPerM': span,
  'leadsAsked.mostSlackMm': z.number().positive().max(500),

  'cap.towersCount': count,
  'cap.towerForm': z.enum(SOURCE_ENDS),
  'cap.fixing': z.enum(CAP_FIXINGS),
  'cap.indexDeg': deg,
  'cap.contactRadiusMm': mm,
  'cap.family': word,
  'cap.supply': supply,
  'capAsked.towersCount': count,
  'capAsked.towerForm': z.enum(SOURCE_ENDS),
  'capAsked.fixing': z.enum(CAP_FIXINGS),
  'capAsked.indexDeg': deg,
  'capAsked.contactRadiusMm': mm,
  'rotor.shaft': z.enum(SHAFTS),
  'rotor.tipRadiusMm': mm,
  'rotor.heightMm': mm,
  'rotor.resistanceKohm': z.number().min(0).max(50),
  'rotor.family': word,
  'rotor.supply': supply,
  'rotorAsked.shaft': z.enum(SHAFTS),
  'rotorAsked.tipRadiusMm': mm,
  'rotorAsked.heightMm': mm,
  'rotorAsked.resistanceKohm': span,
} as const satisfies Partial<Record<FactId, z.ZodType>>;

/** Facts that are recorded in a catalogue; the rest are printed names, house rules and duties. */
export type RecordedFactId = keyof typeof RECORDED_FACTS;
export type RecordedValue<K extends RecordedFactId> = z.infer<(typeof RECORDED_FACTS)[K]>;
