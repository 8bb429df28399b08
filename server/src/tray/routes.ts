import type { Express } from 'express';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import { getFittingPlan } from '@brackenfell/contract/fitting-plan';
import { getNearMisses, getTray } from '@brackenfell/contract/tray';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readFound } from '../reading/store.ts';
import { readAround } from './around.ts';
import { planFitting } from './fitting-plan.ts';
import { judgeEngine } from './judge-engine.ts';
import { findNearMisses } from './near-misses.ts';
import { writeTray } from './present.ts';

export function trayRoutes(app: Express, context: Context): void {
  serve(app, context, getTray, async ({ params, query, db }) => {
    const { position, units, duty, slip, ...asked } = query;
    const found = slip === undefined ? undefined : await readFound(db, slip);
    const question = { ...asked, engineId: params.engineId, positionId: position, duty: readDuty(duty ?? ''), found };
    const judged = await judgeEngine(context, question, units, db);
    if (!judged)
      return trouble('not-found', 'No engine of this catalogue has that key, or it takes no such part there.');
    const around =
      query.kind === 'plug' ? undefined : await readAround(context, db, params.engineId, judged.catalogueVersion);
    return writeTray(judged, question, units, around);
  });

  serve(app, context, getNearMisses, async ({ params, query, db }) => {
    const found = await findNearMisses(context, params.engineId, query.units, db);
    return found ?? trouble('not-found', 'No engine of this catalogue has that key.');
  });

  serve(app, context, getFittingPlan, async ({ params, query, db }) => {
    const { part, units, duty, slip } = query;
    const found = slip === undefined ? undefined : await readFound(db, slip);
    const plan = await planFitting(context, db, {
      engineId: params.engineId,
      partId: part,
      duty: readDuty(duty ?? '') ?? {},
      units,
      found,
    });
    return plan ?? trouble('not-found', 'No such engine, or no such plug.');
  });
}
