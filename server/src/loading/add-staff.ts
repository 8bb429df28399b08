import { hash } from '@node-rs/argon2';
import type { Role } from '@brackenfell/contract/endpoint';
import type { Database } from '../db/database.ts';

export interface NewStaff {
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
  readonly password: string;
  readonly pin: string;
}

/** Adds people to the counter, as the database's owner. Only argon2 hashes of their secrets are kept. */
export async function addStaff(db: Database, people: readonly NewStaff[]): Promise<void> {
  const rows = await Promise.all(
    people.map(async ({ password, pin, ...person }) => ({
      ...person,
      password_hash: await hash(password),
      pin_hash: await hash(pin),
    })),
  );
  await db.insertInto('staff').values(rows).execute();
}
