import { createHmac } from 'node:crypto';
import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

/** A retry comes within a day; a browser that was off over the week-end finds its own writes refused by their version. */
const KEPT_DAYS = 4;

/** Forgets receipts that no retry will ask for. */
export async function sweepReceipts(db: Database): Promise<void> {
  await db
    .deleteFrom('request_receipt')
    .where('at', '<', sql<Date>`now() - make_interval(days => ${KEPT_DAYS})`)
    .execute();
}

/** Fields that are never kept, not even as a hash somebody could try guesses against. */
const SECRET_FIELDS: readonly string[] = ['pin', 'password', 'newPassword', 'newPin'];

/** What a call is told from another under the same key by: keyed, and without anything secret. */
export function callHash(secret: string, method: string, address: string, body: unknown): string {
  const shown = typeof body === 'object' && body !== null ? body : {};
  const kept = Object.fromEntries(Object.entries(shown).filter(([name]) => !SECRET_FIELDS.includes(name)));
  return createHmac('sha256', secret)
    .update(`${method} ${address} ${JSON.stringify(kept)}`)
    .digest('hex');
}
