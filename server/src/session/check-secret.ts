import { hash, verify } from '@node-rs/argon2';

/** Verified when a person is unknown, so that an unknown one takes as long as a wrong secret. */
const decoy = hash('nobody signs in with this');

/** Whether a password or PIN is the one whose hash is kept; false, after as long, where there is none. */
export async function isRight(kept: string | undefined, typed: string): Promise<boolean> {
  return (await verify(kept ?? (await decoy), typed)) && kept !== undefined;
}
