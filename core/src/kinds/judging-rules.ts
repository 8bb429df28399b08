import { PART_KINDS, type PartKind } from '../facts/part-kinds.ts';
import { CONDITIONS, type ConditionId } from '../house-rules/conditions.ts';
import { RULE_IDS, type RuleId } from '../house-rules/house-rules.ts';
import { CHECKS_BY_KIND } from './checks-by-kind.ts';

/** Whether the engine maker's own number comes first goes into a tray's order, not into a check. */
const ORDERING: RuleId = 'ownNumber';

/** The house rules that verdicts and order of a kind of part rest on: those that touch its checks, and the order's own. */
export const judgingRulesOf = (kind: PartKind): readonly RuleId[] =>
  RULE_IDS.filter((rule) => rule === ORDERING || CHECKS_BY_KIND[kind].some(({ ruledBy }) => ruledBy?.includes(rule)));

/** Rules that decide what is judged, not only how it is fitted: the part in hand cannot be their condition. */
export const JUDGING_RULES: ReadonlySet<RuleId> = new Set(PART_KINDS.flatMap(judgingRulesOf));

/** Whether a rule may be chosen otherwise under a condition. */
export const mayDependOn = (rule: RuleId, condition: ConditionId): boolean =>
  !('ofPart' in CONDITIONS[condition]) || !JUDGING_RULES.has(rule);
