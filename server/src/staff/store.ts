import { sql } from 'kysely';
import { createHash, randomBytes } from 'node:crypto';
import type { Role } from '@brackenfell/contract/endpoint';
import type { Staff } from '@brackenfell/contract/session';
import type { Database, Writing } from '../db/database.ts';
import { SESSION_MS } from './cookie.ts';

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
const STAFF_COLUMNS = ['staff.id', 'staff.name', 'staff.initials', 'staff.role'] as const;

/** A counter that nobody touched this long is signed out: a page that is looked at keeps a line to the server. */
const IDLE_MS = 2 * 60 * 60 * 1000;
const SEEN_EVERY_MS = 60_000;

/** Who a token belongs to, or undefined when it is unknown or has run out. */
export async function findSession(db: Database, token: string): Promise<Staff | undefined> {
  const found = await db
    .selectFrom('session')
    .innerJoin('staff', 'staff.id', 'session.staff_id')
    .select([...STAFF_COLUMNS, 'session.last_seen_at'])
    .where('session.token_hash', '=', hashOf(token))
    .where('session.expires_at', '>', new Date())
    .where('session.last_seen_at', '>', new Date(Date.now() - IDLE_MS))
    .where('staff.active', '=', true)
    .executeTakeFirst();
  if (!found) return undefined;
  const { last_seen_at: lastSeen, ...staff } = found;
  if (Date.now() - lastSeen.getTime() > SEEN_EVERY_MS)
    await db.updateTable('session').set({ last_seen_at: new Date() }).where('token_hash', '=', hashOf(token)).execute();
  return staff;
}

/** Begins a session and returns its token, which exists nowhere else but in the cookie. Old sessions are swept. */
export async function beginSession(db: Database, staffId: string): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await db.deleteFrom('session').where('expires_at', '<', new Date()).execute();
  await db
    .insertInto('session')
    .values({ token_hash: hashOf(token), staff_id: staffId, expires_at: new Date(Date.now() + SESSION_MS) })
    .execute();
  return token;
}

export async function endSession(db: Database, token: string): Promise<void> {
  await db.deleteFrom('session').where('token_hash', '=', hashOf(token)).execute();
}

/** What a session is called where it is listed: enough to end it by, nothing to use it with. */
export const shortName = (token: string): string => hashOf(token).toString('hex').slice(0, 16);

export async function readSessions(db: Database, staffId: string) {
  const rows = await db
    .selectFrom('session')
    .select(['token_hash', 'created_at', 'last_seen_at'])
    .where('staff_id', '=', staffId)
    .where('expires_at', '>', new Date())
    .where('last_seen_at', '>', new Date(Date.now() - IDLE_MS))
    .orderBy('last_seen_at', 'desc')
    .execute();
  return rows.map(({ token_hash, ...row }) => ({ ...row, name: token_hash.toString('hex').slice(0, 16) }));
}

/** Ends one of somebody's own sessions by the name it is listed under. */
export async function endSessionOf(db: Database, staffId: string, name: string): Promise<boolean> {
  const own = await db.selectFrom('session').select('token_hash').where('staff_id', '=', staffId).execute();
  const found = own.find(({ token_hash }) => token_hash.toString('hex').startsWith(name));
  if (!found) return false;
  await db.deleteFrom('session').where('token_hash', '=', found.token_hash).execute();
  return true;
}

export async function endOtherSessions(trx: Writing, staffId: string, token: string): Promise<void> {
  await trx.deleteFrom('session').where('staff_id', '=', staffId).where('token_hash', '!=', hashOf(token)).execute();
}

export async function endEverySession(trx: Writing, staffId: string): Promise<void> {
  await trx.deleteFrom('session').where('staff_id', '=', staffId).execute();
}

export async function setSecret(
  trx: Writing,
  staffId: string,
  changes: { password_hash?: string; pin_hash?: string },
): Promise<void> {
  await trx.updateTable('staff').set(changes).where('id', '=', staffId).execute();
}

/** Somebody by id, also one who is kept out. */
export const findAnybody = (db: Database, staffId: string): Promise<Staff | undefined> =>
  db.selectFrom('staff').select(STAFF_COLUMNS).where('id', '=', staffId).executeTakeFirst();

/** Who it is now, and the role they had; undefined where there is no such person. That a supervisor stays is the database's to say. */
export async function setRole(trx: Writing, staffId: string, role: Role) {
  const before = await trx.selectFrom('staff').select('role').where('id', '=', staffId).executeTakeFirst();
  if (!before) return undefined;
  const now = await trx
    .updateTable('staff')
    .set({ role })
    .where('id', '=', staffId)
    .returning([...STAFF_COLUMNS, 'staff.active'])
    .executeTakeFirstOrThrow();
  return { ...now, before: before.role };
}

/** Lets a person in or keeps them out; who is kept out is signed out everywhere. False where there is no such person. */
export async function setActive(trx: Writing, staffId: string, active: boolean): Promise<boolean> {
  const done = await trx
    .updateTable('staff')
    .set({ active })
    .where('id', '=', staffId)
    .returning('id')
    .executeTakeFirst();
  if (!active) await trx.deleteFrom('session').where('staff_id', '=', staffId).execute();
  return done !== undefined;
}

/** One active member of staff, by sign-in name (letter case aside) or by id. */
export async function findStaff(db: Database, by: { name: string } | { id: string }): Promise<Staff | undefined> {
  const query = db.selectFrom('staff').select(STAFF_COLUMNS).where('active', '=', true);
  return (
    'name' in by
      ? query.where((eb) => eb(eb.fn<string>('lower', ['name']), '=', by.name.trim().toLowerCase()))
      : query.where('id', '=', by.id)
  ).executeTakeFirst();
}

/** The hash that the secret of a try is held against; undefined where nobody has it. The database gives no other. */
export async function readSecretForTry(db: Database, tryId: string): Promise<string | undefined> {
  const { rows } = await sql<{ hash: string | null }>`select secret_for_try(${tryId}::bigint) as hash`.execute(db);
  return rows[0]?.hash ?? undefined;
}

/** Everybody, those kept out among them. */
export const listEverybody = (db: Database) =>
  db
    .selectFrom('staff')
    .select([...STAFF_COLUMNS, 'active'])
    .orderBy('id')
    .execute();

export async function listActiveStaff(db: Database): Promise<Staff[]> {
  return db.selectFrom('staff').select(STAFF_COLUMNS).where('active', '=', true).orderBy('id').execute();
}
