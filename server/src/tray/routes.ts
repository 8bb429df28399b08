import type { Express } from 'express';
import { getNearMisses, getTray } from '@brackenfell/contract/tray';
import type { Context } from '../context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { judgeEngine } from './judge-engine.ts';
import { findNearMisses } from './near-misses.ts';
import { trayView } from './present.ts';

export function trayRoutes(app: Express, context: Context): void {
  serve(app, context, getTray, async ({ params, query, db }) => {
    const { position, inHand, built, most } = query;
    const judged = await judgeEngine(
      context,
      { engineId: params.engineId, positionId: position, inHand, built, most },
      query.units,
      db,
    );
    if (!judged) return trouble('not-found', 'No engine of this catalogue has that key and position.');
    return trayView(judged, params.engineId, context.rules, inHand);
  });

  serve(app, context, getNearMisses, async ({ params, query, db }) => {
    const found = await findNearMisses(context, params.engineId, query.units, db);
    return found ?? trouble('not-found', 'No engine of this catalogue has that key.');
  });
}
