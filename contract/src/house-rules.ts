import { z } from 'zod';
import { CONDITION_IDS } from '@brackenfell/core/house-rules/conditions';
import { RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { endpoint, EVERYONE } from './endpoint.ts';

const SchoolView = z.object({ id: z.string(), says: z.string(), argument: z.string(), consequence: z.string() });

export const HouseRuleView = z
  .object({
    rule: z.enum(RULE_IDS),
    title: z.string(),
    asks: z.string(),
    /** It goes into what is judged, not only into how a part is fitted. */
    decidesVerdict: z.boolean(),
    schools: z.array(SchoolView),
    chosen: z.string(),
    /** Where the shop chooses otherwise, the first that holds speaking. */
    conditional: z.array(z.object({ condition: z.enum(CONDITION_IDS), says: z.string(), school: z.string() })),
    /** Where else it may choose otherwise. */
    conditions: z.array(z.object({ condition: z.enum(CONDITION_IDS), says: z.string() })),
    /** Who chose it and when; null while nobody has. */
    by: z.string().nullable(),
    at: z.string().nullable(),
  })
  .meta({ id: 'HouseRuleView' });
export type HouseRuleView = z.infer<typeof HouseRuleView>;

export const HouseRulesView = z
  .object({ version: z.number().int(), rules: z.array(HouseRuleView) })
  .meta({ id: 'HouseRulesView' });
export type HouseRulesView = z.infer<typeof HouseRulesView>;

export const getHouseRules = endpoint('getHouseRules', {
  summary: 'What the shop has chosen where the trade disagrees.',
  roles: EVERYONE,
  response: HouseRulesView,
});

/** What a rule chosen anew did to slips. */
export const RuleChanged = HouseRulesView.extend({
  /** Lines of open and parked slips that were judged again, and how many of them are told otherwise now. */
  judgedAgain: z.number().int(),
  toldOtherwise: z.number().int(),
  /** Sold lines that would be judged otherwise: each has a review flag. */
  flagged: z.number().int(),
}).meta({ id: 'RuleChanged' });

export const chooseHouseRule = endpoint('chooseHouseRule', {
  summary: 'Choose a school; open lines are judged again, sold ones flagged where they would be judged otherwise.',
  roles: ['supervisor'],
  params: z.object({ rule: z.enum(RULE_IDS) }),
  body: z.object({ school: z.string().max(40), version: z.number().int().min(1) }).strict(),
  response: RuleChanged,
  idempotent: true,
});

export const chooseUnderCondition = endpoint('chooseUnderCondition', {
  summary: 'Choose a school for where a condition holds, or take that back (no school); open lines are judged again.',
  roles: ['supervisor'],
  params: z.object({ rule: z.enum(RULE_IDS), condition: z.enum(CONDITION_IDS) }),
  body: z.object({ school: z.string().max(40).nullable(), version: z.number().int().min(1) }).strict(),
  response: RuleChanged,
  idempotent: true,
});
