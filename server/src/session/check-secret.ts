import { hash, verify } from '@node-rs/argon2';
import type { Request } from 'express';
import { weaknessFor } from '@brackenfell/core/shop/passwords';
import type { Role } from '@brackenfell/contract/endpoint';
import type { Database } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { readSecretForTry } from '../staff/store.ts';
import { countTry, strike } from './try-store.ts';

/** Verified when a person is unknown, so that an unknown one takes as long as a wrong secret. */
const decoy = hash('nobody signs in with this');

/** Hashes are made to be slow: one at a time, so that a flood of sign-ins leaves the counter its processors. */
let tail: Promise<unknown> = Promise.resolve();
let waiting = 0;
const MOST_WAITING = 40;

function oneAtATime<T>(work: () => Promise<T>): Promise<T> {
  waiting += 1;
  const done = tail.then(work, work).finally(() => (waiting -= 1));
  tail = done;
  return done;
}

/** Whether a password or PIN is the one whose hash is kept; false, after as long, where there is none. */
const isRight = (kept: string | undefined, typed: string): Promise<boolean> =>
  oneAtATime(async () => (await verify(kept ?? (await decoy), typed)) && kept !== undefined);

/** A new secret's hash, in the same queue. */
export const hashSecret = (secret: string): Promise<string> => oneAtATime(() => hash(secret));

/** Why a new password will not do for somebody of a role; undefined where it will. */
export function tooWeak(role: Role, password: string, name: string, field: string): Trouble | undefined {
  const why = weaknessFor(role, password, name);
  return why === undefined
    ? undefined
    : trouble('invalid-request', 'A supervisor’s password lets others in: choose a stronger one.', { [field]: why });
}

interface Asked {
  /** Whose secret it is; undefined where nobody has that name. */
  readonly staffId: string | undefined;
  readonly typed: string;
  readonly what: 'sign-in' | 'pin';
  /** What is said when it is wrong. */
  readonly wrong: string;
}

/**
 * Checks a secret against one budget of wrong tries, by the account found and by address. Past the budget nothing is looked
 * at, so that the right secret does not show itself by another answer. Undefined when it is right.
 */
export async function checkSecret(
  db: Database,
  req: Request,
  { staffId, typed, what, wrong }: Asked,
): Promise<Trouble | undefined> {
  if (waiting >= MOST_WAITING) return trouble('too-many-tries', 'Many sign in at once: try again in a moment.');
  const tried = await countTry(db, { staffId: staffId ?? null, what, address: req.ip ?? '' });
  if (tried.tooMany) return trouble('too-many-tries', 'Wait five minutes, or ask a supervisor.');
  if (!(await isRight(await readSecretForTry(db, tried.id), typed))) return trouble('wrong-sign-in', wrong);
  await strike(db, tried.id);
  return undefined;
}
