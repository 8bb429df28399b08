import type { Express } from 'express';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import { BETWEEN_NUMBERS, getFittedSet } from '@brackenfell/contract/fitted-set';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { judgeFitted } from './judge-fitted.ts';

export function fittedSetRoutes(app: Express, context: Context): void {
  serve(app, context, getFittedSet, async ({ params, query, db }) => {
    const { numbers, duty, ...asked } = query;
    const fitted = await judgeFitted(context, db, {
      ...asked,
      engineId: params.engineId,
      duty: readDuty(duty ?? '') ?? {},
      numbers: numbers.split(BETWEEN_NUMBERS).map((number) => number.trim()),
    });
    return fitted ?? trouble('not-found', 'No engine of this catalogue has that key, or it takes no such part.');
  });
}
