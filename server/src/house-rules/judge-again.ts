import { HOUSE_RULES, type RuleId } from '@brackenfell/core/house-rules/house-rules';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { judgeLinesAgain } from '../slip/judge-lines.ts';
import { readSlip } from '../slip/store.ts';
import { flagLine, slipsTouchedByRules } from './store.ts';

/**
 * A rule chosen anew judges open lines again, as new judgements where they tell something else; sold lines that would be
 * judged otherwise are flagged for review and keep what was told.
 */
export async function judgeAgainByRule(context: Context, trx: Writing, rule: RuleId, staff: Staff) {
  let [judgedAgain, toldOtherwise, flagged] = [0, 0, 0];
  for (const slipId of await slipsTouchedByRules(trx)) {
    const slip = (await readSlip(trx, slipId))!;
    const isSold = slip.state === 'collected';
    const again = await judgeLinesAgain(context, trx, slip, staff, {
      cause: `rule:${rule}`,
      store: isSold ? 'none' : 'changed',
    });
    if (!isSold) {
      judgedAgain += again.length;
      toldOtherwise += again.filter(({ differs }) => differs).length;
      continue;
    }
    for (const { line, verdict } of again) {
      if (line.kind !== 'sale' || line.verdict === null || line.verdict === verdict) continue;
      const at = new Date().toISOString();
      await flagLine(trx, line.id, { rule: HOUSE_RULES[rule].title, before: line.verdict, after: verdict, at });
      flagged += 1;
    }
  }
  return { judgedAgain, toldOtherwise, flagged };
}
