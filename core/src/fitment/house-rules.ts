import type { FactSheet, FactSource } from './facts.ts';

/** The shop's chosen schools, as plain values. The page that changes them comes with the full set of rules. */
export interface HouseRules {
  readonly version: number;
  readonly electrodeUpgrade: 'allowed' | 'as-designed';
}

/** What a shop that has chosen nothing yet works by. */
export const DEFAULT_HOUSE_RULES: HouseRules = { version: 1, electrodeUpgrade: 'as-designed' };

const ruleSource: FactSource = { rank: 'house-rule', name: 'House rule' };

/** The facts that house rules and standard duty contribute to every judgement. */
export function ruleFacts(rules: HouseRules): FactSheet {
  const entry = <T>(value: T) => ({ ruling: [{ value, source: ruleSource }] });
  return {
    'rule.electrodeUpgrade': entry(rules.electrodeUpgrade),
    'duty.heatOffsetSteps': entry(0),
    'duty.classRule': entry({ kind: 'no-class' }),
  };
}
