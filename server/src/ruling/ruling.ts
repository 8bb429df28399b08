import type { Duty } from '@brackenfell/core/duty/duty';
import { classRuleOn, dutyFacts } from '@brackenfell/core/duty/duty-facts';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { HouseRules } from '@brackenfell/core/house-rules/house-rules';
import {
  settleRules,
  type SettledRules,
  type ShopRules,
  type SlipChoice,
} from '@brackenfell/core/house-rules/settle-rules';
import type { Database } from '../db/database.ts';
import { readClassLists, readShopRules } from './store.ts';
import { today } from '../context/today.ts';

/** The shop's rules and the customer's duty, ready to be applied to what a position asks. */
export interface Ruling {
  /** As they stand where no place and no part is looked at. */
  readonly rules: HouseRules;
  readonly duty: Duty;
  /** As they stand at a place, for a part where there is one, with who settled each. */
  settle(position: FactSheet, part?: FactSheet): SettledRules;
  /** A position's sheet with what rules and duty make of it. */
  apply(position: FactSheet): FactSheet;
}

interface Ruled {
  readonly duty?: Duty | undefined;
  /** Read here when left out. */
  readonly shop?: ShopRules | undefined;
  readonly found?: { readonly ofRules: readonly SlipChoice[] } | undefined;
}

export async function readRuling(db: Database, { duty = {}, found, ...read }: Ruled): Promise<Ruling> {
  const ofSlip = found?.ofRules ?? [];
  const [shop, lists] = await Promise.all([
    read.shop ?? readShopRules(db),
    duty.className === undefined ? [] : readClassLists(db),
  ]);
  const classRule = classRuleOn(lists, duty.className, duty.classDate ?? today());
  const settle = (position: FactSheet, part: FactSheet = {}) => settleRules(shop, ofSlip, position, part);
  return {
    rules: settle({}).rules,
    duty,
    settle,
    apply: (position) => ({ ...position, ...dutyFacts(position, duty, settle(position), classRule) }),
  };
}
