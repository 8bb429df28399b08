import type { Express } from 'express';
import { HOUSE_RULES, RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { chooseHouseRule, getHouseRules, type HouseRulesView } from '@brackenfell/contract/house-rules';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { judgeAgainByRule } from './judge-again.ts';
import { readChoices, rulesOf, storeChoice } from './store.ts';

async function showRules(db: Database): Promise<HouseRulesView> {
  const choices = await readChoices(db);
  const rules = rulesOf(choices);
  return {
    version: rules.version,
    rules: RULE_IDS.map((rule) => {
      const { title, asks, schools } = HOUSE_RULES[rule];
      const choice = choices.find((one) => one.rule === rule && one.school === rules[rule]);
      return {
        rule,
        title,
        asks,
        schools: [...schools],
        chosen: rules[rule],
        by: choice?.by ?? null,
        at: choice?.at.toISOString() ?? null,
      };
    }),
  };
}

export function houseRuleRoutes(app: Express, context: Context): void {
  serve(app, context, getHouseRules, ({ db }) => showRules(db));

  serve(app, context, chooseHouseRule, async ({ params: { rule }, body, staff, trx }) => {
    const before = await showRules(trx);
    if (before.version !== body.version)
      return trouble(
        'changed-meanwhile',
        'A rule was chosen meanwhile. Look at the rules as they stand and choose again.',
      );
    const known = HOUSE_RULES[rule].schools.some(({ id }) => id === body.school);
    if (!known) return trouble('invalid-request', 'Choose one of the rule’s schools.', { school: 'no such school' });
    const was = before.rules.find((one) => one.rule === rule)!.chosen;
    await storeChoice(trx, rule, body.school, staff.id);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'house rule',
      subjectId: rule,
      action: 'choose',
      before: { school: was },
      after: { school: body.school },
    });
    const done = was === body.school ? NOTHING_DONE : await judgeAgainByRule(context, trx, rule, staff);
    return { ...(await showRules(trx)), ...done };
  });
}

const NOTHING_DONE = { judgedAgain: 0, toldOtherwise: 0, flagged: 0 };
