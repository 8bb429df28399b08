import { rulingValue, type FactSheet, type FactSource } from '../facts/facts.ts';
import { type ClassRule } from '../facts/settled-facts.ts';
import { HOUSE_RULES, type HouseRules, type RuleId } from '../house-rules/house-rules.ts';
import { saySpoke, settleRules, type SettledRules } from '../house-rules/settle-rules.ts';
import { agreedInterval } from './agreed-interval.ts';
import { gapForDuty } from './gap-for-duty.ts';
import { heatOffsetSteps, withFactoryBoost, type Duty } from './duty.ts';

const BY_DUTY: FactSource = { rank: 'house-rule', name: 'Duty on this slip' };
const entry = <T>(value: T, source: FactSource) => ({ ruling: [{ value, source }] });

/** A sanctioned class's lists of permitted numbers (normal forms), each with its first and last day (open at either end). */
export interface ClassList {
  readonly className: string;
  readonly from: string;
  readonly to: string | null;
  readonly permitted: readonly string[];
}

/** What a class permits on a day. Plugs: Class list. */
export function classRuleOn(lists: readonly ClassList[], className: string | undefined, day: string): ClassRule {
  if (className === undefined) return { kind: 'no-class' };
  const inForce = lists.find((list) => list.className === className && list.from <= day && (list.to ?? day) >= day);
  return inForce ? { kind: 'list', className, permitted: inForce.permitted } : { kind: 'no-list-in-force', className };
}

/**
 * What the shop's rules and the customer's duty make of what a position asks: the facts that take the place of the engine
 * maker's own, each under the name of the rule that moved it.
 */
export function dutyFacts(
  position: FactSheet,
  told: Duty,
  { rules, spoke }: SettledRules,
  classRule: ClassRule,
): FactSheet {
  const byRule = (rule: RuleId): FactSource => ({
    rank: 'house-rule',
    name: [`House rule: ${HOUSE_RULES[rule].title}`, saySpoke(spoke[rule])].filter(Boolean).join(', '),
  });
  const duty = withFactoryBoost(told, position);
  const madeFor = rulingValue(position, 'position.fuel') ?? 'petrol';
  const intervalKm = rulingValue(position, 'position.intervalKm');
  const hours = rulingValue(position, 'position.intervalHours');
  const agreedKm = agreedInterval(rules.interval, duty, { makers: intervalKm })?.value;
  const agreedHours = agreedInterval(rules.interval, duty, { makers: hours }, 'hours')?.value;
  const gap = gapForDuty(position, duty, rules);
  return {
    'rule.electrodeUpgrade': entry(rules.electrodeUpgrade, byRule('electrodeUpgrade')),
    'rule.twoPiece': entry(rules.twoPiece, byRule('twoPiece')),
    'duty.heatOffsetSteps': entry(heatOffsetSteps(rules.heatWithPower, duty, madeFor), byRule('heatWithPower')),
    'duty.shortColdRuns': entry(duty.shortColdRuns === true, BY_DUTY),
    'duty.classRule': entry(classRule, BY_DUTY),
    // Boost added to a naturally aspirated engine, and gas, bring their rules with them.
    ...((duty.boostKpa ?? 0) > 0 ? { 'position.aspiration': entry('forced' as const, BY_DUTY) } : {}),
    ...(duty.gasFuel === true ? { 'position.fuel': entry('gas' as const, BY_DUTY) } : {}),
    ...(gap.kind === 'as-made' || gap.kind === 'not-estimated'
      ? {}
      : { 'position.gapMm': entry(gap.range, byRule('gapForDuty')) }),
    ...(agreedHours !== undefined && agreedHours !== hours
      ? { 'position.intervalHours': entry(agreedHours, byRule('interval')) }
      : {}),
    ...(agreedKm !== undefined && agreedKm !== intervalKm
      ? { 'position.intervalKm': entry(agreedKm, byRule('interval')) }
      : {}),
  };
}

const NO_CLASS: ClassRule = { kind: 'no-class' };

/** What rules alone add, for standard duty and no class. */
export const ruleFacts = (rules: HouseRules): FactSheet =>
  dutyFacts({}, {}, settleRules({ defaults: rules, conditional: [] }, [], {}), NO_CLASS);
