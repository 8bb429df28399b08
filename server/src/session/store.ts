import { createHash, randomBytes } from 'node:crypto';
import type { Staff } from '@brackenfell/contract/session';
import type { Database } from '../db/database.ts';
import { SESSION_MS } from './cookie.ts';

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
const STAFF_COLUMNS = ['staff.id', 'staff.name', 'staff.initials', 'staff.role'] as const;

/** Who a token belongs to, or undefined when it is unknown or has run out. */
export async function findSession(db: Database, token: string): Promise<Staff | undefined> {
  return db
    .selectFrom('session')
    .innerJoin('staff', 'staff.id', 'session.staff_id')
    .select(STAFF_COLUMNS)
    .where('session.token_hash', '=', hashOf(token))
    .where('session.expires_at', '>', new Date())
    .where('staff.active', '=', true)
    .executeTakeFirst();
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

export interface StaffSecrets {
  readonly staff: Staff;
  readonly passwordHash: string;
  readonly pinHash: string;
}

/** The secrets of one active member of staff, by sign-in name (letter case aside) or by id. */
export async function findSecrets(
  db: Database,
  by: { name: string } | { id: string },
): Promise<StaffSecrets | undefined> {
  const query = db
    .selectFrom('staff')
    .select([...STAFF_COLUMNS, 'password_hash', 'pin_hash'])
    .where('active', '=', true);
  const row = await (
    'name' in by
      ? query.where((eb) => eb(eb.fn<string>('lower', ['name']), '=', by.name.trim().toLowerCase()))
      : query.where('id', '=', by.id)
  ).executeTakeFirst();
  if (!row) return undefined;
  const { password_hash: passwordHash, pin_hash: pinHash, ...staff } = row;
  return { staff, passwordHash, pinHash };
}

export async function listActiveStaff(db: Database): Promise<Staff[]> {
  return db.selectFrom('staff').select(STAFF_COLUMNS).where('active', '=', true).orderBy('id').execute();
}
