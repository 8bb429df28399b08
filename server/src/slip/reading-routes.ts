import type { Express } from 'express';
import { isOfVehicle } from '@brackenfell/core/facts/fact-answers';
import { isAnswerTo } from '@brackenfell/core/slip/piece-readings';
import { addReading, withdrawReading } from '@brackenfell/contract/slip';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble } from '../http/trouble.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { judgeLinesAgain } from './judge-lines.ts';
import { storeReading, withdraw } from '../reading/store.ts';
import { showSlip } from './show-slip.ts';
import { writeOn } from './slip-change.ts';

/** Open questions answered at the counter: of the very piece, or of the vehicle. */
export function slipReadingRoutes(app: Express, context: Context): void {
  serve(app, context, addReading, async ({ params, body, staff, trx }) => {
    const { partId, fact, value, how, device } = body;
    if (!isAnswerTo(fact, { value, how }))
      return trouble('invalid-request', 'Answer the question as it is asked.', { value: 'is no answer to it' });
    if (isOfVehicle(fact) !== (partId === null))
      return trouble('invalid-request', 'Say whose it is: a part’s, or the vehicle’s.', {
        partId: 'does not go with it',
      });
    if (partId !== null && (await readPartRows(trx, [partId])).length === 0)
      return trouble('invalid-request', 'Choose a part of this catalogue.', { partId: 'no such part' });
    const slip = await writeOn({ trx, params, body, staff }, 'read');
    if (isTrouble(slip)) return slip;
    await storeReading(trx, { slipId: slip.id, partId, fact, value, how, device: device ?? null, staffId: staff.id });
    await judgeLinesAgain(context, trx, slip, staff, { cause: 'reading', store: 'changed' });
    return showSlip(trx, slip.id);
  });

  serve(app, context, withdrawReading, async ({ params, body, staff, trx }) => {
    const slip = await writeOn({ trx, params, body, staff }, 'withdraw reading');
    if (isTrouble(slip)) return slip;
    if (!(await withdraw(trx, slip.id, params.readingId))) return trouble('not-found', 'The slip has no such reading.');
    await judgeLinesAgain(context, trx, slip, staff, { cause: 'reading', store: 'changed' });
    return showSlip(trx, slip.id);
  });
}
