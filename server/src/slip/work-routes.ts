import type { Express } from 'express';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { JUDGING_RULES } from '@brackenfell/core/kinds/judging-rules';
import { mayChooseOnSlip } from '@brackenfell/core/slip/who-may';
import { chooseOnSlip, keepOnSlip } from '@brackenfell/contract/slip-work';
import type { Context } from '../context/context.ts';
import { storeSlipChoice } from '../ruling/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble } from '../http/trouble.ts';
import { judgeLinesAgain } from './judge-lines.ts';
import { showSlip } from './show-slip.ts';
import { mustBeUnfinished, mustHold, writeOn } from './slip-change.ts';
import { settleHold } from './settle-hold.ts';
import { changeSlipRow, storeKept } from './store.ts';

/** What is settled and found on one slip: rules chosen otherwise, a swap test, what is fitted. */
export function slipWorkRoutes(app: Express, context: Context): void {
  serve(app, context, chooseOnSlip, async ({ params: { slipId, rule }, body, staff, trx }) => {
    const { school, reason, version } = body;
    if (!mayChooseOnSlip({ decidesVerdict: JUDGING_RULES.has(rule) }, staff))
      return trouble('role-not-allowed', `${HOUSE_RULES[rule].title} decides a verdict: a supervisor settles it.`);
    if (school !== null && !HOUSE_RULES[rule].schools.some(({ id }) => id === school))
      return trouble('invalid-request', 'Choose one of the rule’s schools.', { school: 'no such school' });
    const slip = await changeSlipRow(trx, {
      slipId,
      version,
      staffId: staff.id,
      action: `rule ${rule}: ${school ?? 'as the shop'}`,
      // A supervisor settles a rule on anybody's slip, as they release a line of it.
      unless: (staff.role === 'supervisor' ? mustBeUnfinished : mustHold)(staff),
    });
    if (isTrouble(slip)) return slip;
    await storeSlipChoice(trx, { slipId, rule, school, reason, staffId: staff.id });
    await judgeLinesAgain(context, trx, slip, staff, { cause: `rule:${rule}`, store: 'changed' });
    return showSlip(trx, slipId);
  });

  serve(app, context, keepOnSlip, async ({ params: { slipId }, body, staff, trx }) => {
    const slip = await writeOn({ trx, params: { slipId }, body, staff }, `keep ${body.kept.kind}`);
    if (isTrouble(slip)) return slip;
    await storeKept(trx, { slipId, kept: body.kept, staffId: staff.id });
    return (await settleHold(context, trx, slip)) ?? showSlip(trx, slipId);
  });
}
