import type { Express } from 'express';
import { CONDITION_IDS, CONDITIONS, type ConditionId } from '@brackenfell/core/house-rules/conditions';
import { JUDGING_RULES, mayDependOn } from '@brackenfell/core/kinds/judging-rules';
import { HOUSE_RULES, RULE_IDS, type RuleId } from '@brackenfell/core/house-rules/house-rules';
import {
  chooseHouseRule,
  chooseUnderCondition,
  getHouseRules,
  type HouseRulesView,
} from '@brackenfell/contract/house-rules';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Database, Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { judgeAgainByRule } from './judge-again.ts';
import { lockRules, storeChoice } from './store.ts';
import { readChoices, shopRulesOf } from '../ruling/store.ts';

async function showRules(db: Database): Promise<HouseRulesView> {
  const choices = await readChoices(db);
  const { defaults, conditional } = shopRulesOf(choices);
  return {
    version: defaults.version,
    rules: RULE_IDS.map((rule) => {
      const { title, asks, schools } = HOUSE_RULES[rule];
      const choice = choices.find(
        (one) => one.rule === rule && one.condition === null && one.school === defaults[rule],
      );
      const own = conditional.filter((one) => one.rule === rule);
      return {
        rule,
        title,
        asks,
        decidesVerdict: JUDGING_RULES.has(rule),
        schools: [...schools],
        chosen: defaults[rule],
        conditional: own.map(({ condition, school }) => ({ condition, says: CONDITIONS[condition].says, school })),
        conditions: CONDITION_IDS.filter(
          (id) => mayDependOn(rule, id) && !own.some(({ condition }) => condition === id),
        ).map((condition) => ({ condition, says: CONDITIONS[condition].says })),
        by: choice?.by ?? null,
        at: choice?.at.toISOString() ?? null,
      };
    }),
  };
}

interface Choosing {
  readonly rule: RuleId;
  readonly condition: ConditionId | null;
  readonly school: string | null;
  readonly version: number;
}

/** Chooses a school, for everywhere or where a condition holds, and judges again what rests on it. */
async function choose(context: Context, trx: Writing, staff: Staff, { rule, condition, school, version }: Choosing) {
  await lockRules(trx);
  const before = await showRules(trx);
  if (before.version !== version)
    return trouble(
      'changed-meanwhile',
      'A rule was chosen meanwhile. Look at the rules as they stand and choose again.',
    );
  if (school !== null && !HOUSE_RULES[rule].schools.some(({ id }) => id === school))
    return trouble('invalid-request', 'Choose one of the rule’s schools.', { school: 'no such school' });
  if (condition !== null && !mayDependOn(rule, condition))
    return trouble(
      'invalid-request',
      'This rule is settled before there is a part in hand: choose another condition.',
      {
        condition: 'is read from the part',
      },
    );
  const shown = before.rules.find((one) => one.rule === rule)!;
  const was =
    condition === null ? shown.chosen : (shown.conditional.find((one) => one.condition === condition)?.school ?? null);
  await storeChoice(trx, { rule, condition, school }, staff.id);
  await recordChange(trx, {
    staffId: staff.id,
    subject: 'house rule',
    subjectId: rule,
    action: 'choose',
    before: { condition, school: was },
    after: { condition, school },
  });
  const done = was === school ? NOTHING_DONE : await judgeAgainByRule(context, trx, rule, staff);
  return { ...(await showRules(trx)), ...done };
}

export function houseRuleRoutes(app: Express, context: Context): void {
  serve(app, context, getHouseRules, ({ db }) => showRules(db));
  serve(app, context, chooseHouseRule, ({ params: { rule }, body, staff, trx }) =>
    choose(context, trx, staff, { rule, condition: null, ...body }),
  );
  serve(app, context, chooseUnderCondition, ({ params, body, staff, trx }) =>
    choose(context, trx, staff, { ...params, ...body }),
  );
}

const NOTHING_DONE = { judgedAgain: 0, toldOtherwise: 0, flagged: 0 };
