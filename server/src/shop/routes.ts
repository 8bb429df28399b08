import { createHash, timingSafeEqual } from 'node:crypto';
import { statfs } from 'node:fs/promises';
import type { Express } from 'express';
import {
  addPerson,
  beginShop,
  changePerson,
  changeShop,
  getShop,
  getShopState,
  resetSecrets,
} from '@brackenfell/contract/shop';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { hashSecret, tooWeak } from '../session/check-secret.ts';
import { countTry, strike } from '../session/try-store.ts';
import { writeSessionCookie } from '../staff/cookie.ts';
import { beginSession, endEverySession, findAnybody, setRole, setSecret } from '../staff/store.ts';
import { addPersonRow, changeShopRow, hasPrices, hasStaff, readShop, readState, takePlace } from './store.ts';
import { writeAsShop } from './write-as-shop.ts';

const NOT_NEW = trouble('not-allowed-now', 'A shop has been begun here already: sign in to it.');

/** Compared in the same time whatever was typed; letter case, spaces and dashes aside. */
const isSameCode = (typed: string, code: string): boolean => {
  const bare = (text: string) => createHash('sha256').update(text.toUpperCase().replace(/[\s-]/g, '')).digest();
  return timingSafeEqual(bare(typed), bare(code));
};

/** This process, and the disk under it; none where the system does not tell. */
async function standsOn() {
  const disk = await statfs(process.cwd()).catch(() => undefined);
  return {
    since: new Date(Date.now() - process.uptime() * 1000).toISOString(),
    memoryBytes: process.memoryUsage.rss(),
    disk: disk ? { freeBytes: disk.bavail * disk.bsize, bytes: disk.blocks * disk.bsize } : null,
  };
}

/** The shop itself and who works in it. */
export function shopRoutes(app: Express, context: Context): void {
  serve(app, context, getShop, async ({ db }) => ({ shop: await readShop(db) }));

  serve(app, context, beginShop, async ({ body: { code, supervisor, ...details }, req, res, db }) => {
    if ((await readShop(db)) || (await hasStaff(db))) return NOT_NEW;
    if (context.firstCode === undefined)
      return trouble('not-allowed-now', 'This server was started without a code: start it with npm start.');
    const tried = await countTry(db, { staffId: null, what: 'sign-in', address: req.ip ?? '' });
    if (tried.tooMany) return trouble('too-many-tries', 'Wait five minutes, then look at the code once more.');
    if (!isSameCode(code, context.firstCode))
      return trouble('not-allowed-now', 'The code is not the one that the terminal printed at the last start.');
    await strike(db, tried.id);
    const { password, pin, name, initials } = supervisor;
    const secrets = { password_hash: await hashSecret(password), pin_hash: await hashSecret(pin) };
    const person = { name, initials: initials.toUpperCase(), role: 'supervisor' as const };
    const id = await db.transaction().execute(async (trx) => {
      if (!(await takePlace(trx, details))) return undefined;
      const staffId = (await addPersonRow(trx, { ...person, ...secrets }))!;
      await recordChange(trx, { staffId, subject: 'shop', subjectId: '1', action: 'begin', after: details });
      return staffId;
    });
    if (id === undefined) return NOT_NEW;
    writeAsShop(details);
    writeSessionCookie(req, res, await beginSession(db, id));
    return { id, ...person };
  });

  serve(app, context, changeShop, async ({ body, staff, trx }) => {
    const before = await readShop(trx);
    if (before && before.currency !== body.currency && (await hasPrices(trx)))
      return trouble('not-allowed-now', 'Prices are in it already, and are not converted: begin a shop of its own.', {
        currency: 'is what prices here are in',
      });
    const shop = await changeShopRow(trx, body);
    if (!shop) return trouble('changed-meanwhile', 'Somebody changed it meanwhile: look at it as it stands now.');
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'shop',
      subjectId: '1',
      action: 'change',
      before,
      after: shop,
    });
    writeAsShop(shop);
    return { shop };
  });

  serve(app, context, getShopState, async ({ db }) => {
    const { slow } = context.metrics;
    return {
      now: new Date().toISOString(),
      ...(await readState(db)),
      server: { ...(await standsOn()), pages: context.live.pages },
      slow: slow.latest.map((call) => ({ ...call, at: call.at.toISOString() })),
    };
  });

  serve(app, context, addPerson, async ({ body: { password, pin, ...person }, staff, trx }) => {
    const row = { ...person, initials: person.initials.toUpperCase() };
    const id = await addPersonRow(trx, {
      ...row,
      password_hash: await hashSecret(password),
      pin_hash: await hashSecret(pin),
    });
    if (id === undefined)
      return trouble('already-there', 'Choose another name to sign in with.', { name: 'is somebody’s here already' });
    await recordChange(trx, { staffId: staff.id, subject: 'staff', subjectId: id, action: 'add', after: row });
    return { id, ...row, active: true };
  });

  serve(app, context, changePerson, async ({ params: { staffId }, body: { role, secrets }, staff, trx }) => {
    const changed = await setRole(trx, staffId, role);
    if (!changed) return trouble('not-found', 'There is no such person.');
    const { before, ...person } = changed;
    if (role === 'supervisor' && before !== 'supervisor') {
      if (!secrets)
        return trouble('invalid-request', NEEDS_SECRETS, { secrets: 'a password of twelve characters and a PIN' });
      const weak = await giveSecrets(trx, person, secrets, 'secrets.password');
      if (weak) return weak;
    }
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'staff',
      subjectId: staffId,
      action: 'role',
      before: { role: before },
      after: { role },
    });
    context.recentSessions.forgetAll();
    return person;
  });

  serve(app, context, resetSecrets, async ({ params: { staffId }, body, staff, trx }) => {
    if (staffId === staff.id)
      return trouble('not-allowed-now', 'Change your own under Password and PIN, with the one you have.');
    const person = await findAnybody(trx, staffId);
    if (!person) return trouble('not-found', 'There is no such person.');
    const weak = await giveSecrets(trx, person, body, 'password');
    if (weak) return weak;
    await recordChange(trx, { staffId: staff.id, subject: 'staff', subjectId: staffId, action: 'reset secret' });
    context.recentSessions.forgetAll();
    return { ok: true as const };
  });
}

const NEEDS_SECRETS = 'Who becomes a supervisor gets a password of their own for it: one that lets others in.';

/** New secrets for somebody, who signs in with them wherever they were; a trouble where the password will not do for their role. */
async function giveSecrets(
  trx: Writing,
  { id, role, name }: Staff,
  { password, pin }: { readonly password: string; readonly pin: string },
  field: string,
): Promise<Trouble | undefined> {
  const weak = tooWeak(role, password, name, field);
  if (weak) return weak;
  await setSecret(trx, id, { password_hash: await hashSecret(password), pin_hash: await hashSecret(pin) });
  await endEverySession(trx, id);
  return undefined;
}
