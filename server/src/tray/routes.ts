import type { Express } from 'express';
import { getNearMisses, getTray } from '@brackenfell/contract/tray';
import type { Context } from '../context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { readAround } from './around.ts';
import { judgeEngine } from './judge-engine.ts';
import { findNearMisses } from './near-misses.ts';
import { trayView } from './present.ts';

export function trayRoutes(app: Express, context: Context): void {
  serve(app, context, getTray, async ({ params, query, db }) => {
    const { position, units, ...asked } = query;
    const question = { ...asked, engineId: params.engineId, positionId: position };
    const [judged, around] = await Promise.all([
      judgeEngine(context, question, units, db),
      query.kind === 'plug' ? undefined : readAround(context, db, params.engineId),
    ]);
    if (!judged)
      return trouble('not-found', 'No engine of this catalogue has that key, or it takes no such part there.');
    return trayView(judged, question, context.rules, around);
  });

  serve(app, context, getNearMisses, async ({ params, query, db }) => {
    const found = await findNearMisses(context, params.engineId, query.units, db);
    return found ?? trouble('not-found', 'No engine of this catalogue has that key.');
  });
}
