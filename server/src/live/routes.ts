import type { Express } from 'express';
import { live as liveEndpoint } from '@brackenfell/contract/live';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { readSessionToken } from '../staff/cookie.ts';
import { findSession } from '../staff/store.ts';

export function liveRoutes(app: Express, context: Context): void {
  serve(app, context, liveEndpoint, ({ req, res, db }) => {
    const leaves = new AbortController();
    res.once('close', () => leaves.abort());
    const token = readSessionToken(req)!;
    // While the database is away nobody is sent off; what it would tell is not told either.
    const mayHear = () =>
      findSession(db, token).then(
        (staff) => staff !== undefined,
        () => true,
      );
    return Promise.resolve(context.live.open(leaves.signal, mayHear));
  });
}
