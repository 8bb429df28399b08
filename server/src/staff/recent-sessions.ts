import type { Staff } from '@brackenfell/contract/session';
import type { Database } from '../db/database.ts';
import { findSession } from './store.ts';

const REMEMBERED_MS = 2000;
const MOST_REMEMBERED = 500;

/**
 * Sessions found in the last two seconds, for reads that follow every key stroke. A session ended here is forgotten at
 * once; one ended through another server is still answered for at most that long, by such reads alone.
 */
export class RecentSessions {
  readonly #found = new Map<string, { readonly staff: Staff; readonly until: number }>();

  async find(db: Database, token: string): Promise<Staff | undefined> {
    const known = this.#found.get(token);
    if (known && known.until > performance.now()) return known.staff;
    this.#found.delete(token);
    const staff = await findSession(db, token);
    if (!staff) return undefined;
    if (this.#found.size >= MOST_REMEMBERED) this.#found.clear();
    this.#found.set(token, { staff, until: performance.now() + REMEMBERED_MS });
    return staff;
  }

  forget(token: string): void {
    this.#found.delete(token);
  }

  /** Somebody's sessions were ended without their tokens being known. */
  forgetAll(): void {
    this.#found.clear();
  }
}
