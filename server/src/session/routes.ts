import type { Express, Request } from 'express';
import { listStaff, signIn, signOut, switchPerson, whoAmI } from '@brackenfell/contract/session';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { isRight } from './check-secret.ts';
import { limitTries } from './limit-tries.ts';
import { clearSessionCookie, readSessionToken, writeSessionCookie } from './cookie.ts';
import { beginSession, endSession, findSecrets, listActiveStaff } from './store.ts';

export function sessionRoutes(app: Express, context: Context): void {
  const field = (req: Request, name: string) => (req.body as Record<string, unknown> | undefined)?.[name];
  app.post(
    signIn.path,
    limitTries((req) => field(req, 'name')),
  );
  app.post(
    switchPerson.path,
    limitTries((req) => field(req, 'staffId')),
  );

  const end = async (db: Database, req: Request) => {
    const token = readSessionToken(req)!;
    context.recentSessions.forget(token);
    await endSession(db, token);
  };

  serve(app, context, signIn, async ({ body, req, res, db }) => {
    const found = await findSecrets(db, { name: body.name });
    const right = await isRight(found?.passwordHash, body.password);
    if (!found || !right)
      return trouble('wrong-sign-in', 'Check the name and the password; letter case counts in the password.');
    writeSessionCookie(req, res, await beginSession(db, found.staff.id));
    return found.staff;
  });

  serve(app, context, whoAmI, ({ staff }) => Promise.resolve(staff));

  serve(app, context, signOut, async ({ req, res, db }) => {
    await end(db, req);
    clearSessionCookie(res);
    return { ok: true as const };
  });

  serve(app, context, listStaff, async ({ db }) => ({ staff: await listActiveStaff(db) }));

  serve(app, context, switchPerson, async ({ body, req, res, db }) => {
    const found = await findSecrets(db, { id: body.staffId });
    const right = await isRight(found?.pinHash, body.pin);
    if (!found || !right) return trouble('wrong-sign-in', 'Check the PIN; the person at the counter has not changed.');
    await end(db, req);
    writeSessionCookie(req, res, await beginSession(db, found.staff.id));
    return found.staff;
  });
}
