import type { Express } from 'express';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import { getBlades, getSetUp, saveBlades, type BladesOwned } from '@brackenfell/contract/set-up';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readFound } from '../reading/store.ts';
import { readBlades, storeBlades } from './blades-store.ts';
import { gatherSetUp } from './gather.ts';

async function showBlades(db: Database): Promise<BladesOwned> {
  const row = await readBlades(db);
  return row ? { blades: row.blades, by: row.by, at: row.at.toISOString() } : { blades: null, by: null, at: null };
}

/** What a plug is set up by, and the shop's own blades. */
export function setUpRoutes(app: Express, context: Context): void {
  serve(app, context, getSetUp, async ({ params: { engineId }, query, db }) => {
    const { part, duty, slip, build, coil } = query;
    const found = slip === undefined ? undefined : await readFound(db, slip);
    const question = { engineId, partId: part, duty: readDuty(duty ?? '') ?? {}, build, coilId: coil, found };
    return (await gatherSetUp(context, db, question)) ?? trouble('not-found', 'No such engine, or no such plug.');
  });

  serve(app, context, getBlades, ({ db }) => showBlades(db));

  serve(app, context, saveBlades, async ({ body: { blades }, staff, trx }) => {
    await storeBlades(trx, blades, staff.id);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'blades',
      subjectId: '1',
      action: 'change',
      after: { blades },
    });
    return showBlades(trx);
  });
}
