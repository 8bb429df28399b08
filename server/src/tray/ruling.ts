import type { Duty } from '@brackenfell/core/duty/duty';
import { classRuleOn, dutyFacts } from '@brackenfell/core/duty/duty-facts';
import type { FactSheet } from '@brackenfell/core/fitment/facts';
import type { HouseRules } from '@brackenfell/core/house-rules/house-rules';
import type { Database } from '../db/database.ts';
import { readClassLists, readHouseRules } from '../house-rules/store.ts';

/** The shop's rules and the customer's duty, ready to be applied to what a position asks. */
export interface Ruling {
  readonly rules: HouseRules;
  readonly duty: Duty;
  /** A position's sheet with what rules and duty make of it. */
  apply(position: FactSheet): FactSheet;
}

export async function readRuling(db: Database, duty: Duty): Promise<Ruling> {
  const [rules, lists] = await Promise.all([
    readHouseRules(db),
    duty.className === undefined ? [] : readClassLists(db),
  ]);
  const today = new Date().toISOString().slice(0, 10);
  const classRule = classRuleOn(lists, duty.className, duty.classDate ?? today);
  return {
    rules,
    duty,
    apply: (position) => ({ ...position, ...dutyFacts(position, duty, rules, classRule) }),
  };
}
