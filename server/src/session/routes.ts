import type { Express, Request, Response } from 'express';
import {
  changeSecret,
  endSession as endSessionEndpoint,
  listFailedTries,
  listSessions,
  listPeople,
  listStaff,
  setStaffActive,
  signIn,
  signOut,
  switchPerson,
  whoAmI,
} from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { checkSecret, hashSecret, tooWeak } from './check-secret.ts';
import { clearSessionCookie, readSessionToken, writeSessionCookie } from '../staff/cookie.ts';
import {
  beginSession,
  endOtherSessions,
  endSession,
  endSessionOf,
  findStaff,
  listActiveStaff,
  listEverybody,
  readSessions,
  setActive,
  setSecret,
  shortName,
} from '../staff/store.ts';
import { readTries } from './try-store.ts';

export function sessionRoutes(app: Express, context: Context): void {
  const end = async (db: Database, req: Request) => {
    const token = readSessionToken(req);
    if (token === undefined) return;
    context.recentSessions.forget(token);
    await endSession(db, token);
  };

  /** Whoever was signed in here is not any more, and the next one is: both or neither, and told to every page at once. */
  const changeHands = async (db: Database, req: Request, res: Response, staffId: string) => {
    const token = await db.transaction().execute(async (trx) => {
      await end(trx, req);
      return beginSession(trx, staffId);
    });
    writeSessionCookie(req, res, token);
  };

  serve(app, context, signIn, async ({ body, req, res, db }) => {
    const found = await findStaff(db, { name: body.name });
    const wrong = await checkSecret(db, req, {
      staffId: found?.id,
      typed: body.password,
      what: 'sign-in',
      wrong: 'Check the name and the password; letter case counts in the password.',
    });
    if (wrong) return wrong;
    await changeHands(db, req, res, found!.id);
    return found!;
  });

  serve(app, context, whoAmI, ({ staff }) => Promise.resolve(staff));

  serve(app, context, signOut, async ({ req, res, db }) => {
    await end(db, req);
    clearSessionCookie(req, res);
    return { ok: true as const };
  });

  serve(app, context, listStaff, async ({ db }) => ({ staff: await listActiveStaff(db) }));

  serve(app, context, listPeople, async ({ db }) => ({ people: await listEverybody(db) }));

  serve(app, context, switchPerson, async ({ body, req, res, db }) => {
    const found = await findStaff(db, { id: body.staffId });
    const wrong = await checkSecret(db, req, {
      staffId: found?.id,
      typed: body.pin,
      what: 'pin',
      wrong: 'Check the PIN; the person at the counter has not changed.',
    });
    if (wrong) return wrong;
    await changeHands(db, req, res, found!.id);
    return found!;
  });

  serve(app, context, listSessions, async ({ req, staff, db }) => {
    const own = shortName(readSessionToken(req)!);
    return {
      sessions: (await readSessions(db, staff.id)).map((session) => ({
        sessionId: session.name,
        begunAt: session.created_at.toISOString(),
        lastSeenAt: session.last_seen_at.toISOString(),
        isThis: session.name === own,
      })),
    };
  });

  serve(app, context, endSessionEndpoint, async ({ params, staff, db }) => {
    context.recentSessions.forgetAll();
    return (await endSessionOf(db, staff.id, params.sessionId))
      ? { ok: true as const }
      : trouble('not-found', 'You have no such session.');
  });

  serve(app, context, listFailedTries, async ({ staff, db }) => ({
    tries: (await readTries(db, staff.role === 'supervisor' ? undefined : staff.id)).map(
      ({ name, what, address, at }) => ({
        name,
        what,
        address,
        at: at.toISOString(),
      }),
    ),
  }));

  serve(app, context, changeSecret, async ({ body, req, staff, db }) => {
    const wrong = await checkSecret(db, req, {
      staffId: staff.id,
      typed: body.password,
      what: 'sign-in',
      wrong: 'Your password of now is not that one; nothing was changed.',
    });
    if (wrong) return wrong;
    const weak = body.newPassword && tooWeak(staff.role, body.newPassword, staff.name, 'newPassword');
    if (weak) return weak;
    const changes = {
      ...(body.newPassword === undefined ? {} : { password_hash: await hashSecret(body.newPassword) }),
      ...(body.newPin === undefined ? {} : { pin_hash: await hashSecret(body.newPin) }),
    };
    if (Object.keys(changes).length === 0) return trouble('invalid-request', 'Say a new password, or a new PIN.');
    await db.transaction().execute(async (trx) => {
      await setSecret(trx, staff.id, changes);
      await recordChange(trx, {
        staffId: staff.id,
        subject: 'staff',
        subjectId: staff.id,
        action: 'change secret',
        after: { what: Object.keys(changes) },
      });
      // A secret that was found out must not live on in another window.
      await endOtherSessions(trx, staff.id, readSessionToken(req)!);
    });
    context.recentSessions.forgetAll();
    return { ok: true as const };
  });

  serve(app, context, setStaffActive, async ({ params, body, staff, trx }) => {
    if (params.staffId === staff.id) return trouble('not-allowed-now', 'Nobody can disable themselves.');
    if (!(await setActive(trx, params.staffId, body.active))) return trouble('not-found', 'There is no such person.');
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'staff',
      subjectId: params.staffId,
      action: body.active ? 'enable' : 'disable',
    });
    context.recentSessions.forgetAll();
    return { ok: true as const };
  });
}
