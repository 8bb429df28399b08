import { sql } from 'kysely';
import type { Database, Writing } from '../db/database.ts';

/** A retry comes within a day; a browser that was off over the week-end finds its own writes refused by their version. */
const KEPT_DAYS = 4;

/** Forgets receipts that no retry will ask for. */
export async function sweepReceipts(db: Database): Promise<void> {
  await db
    .deleteFrom('request_receipt')
    .where('at', '<', sql<Date>`now() - make_interval(days => ${KEPT_DAYS})`)
    .execute();
}

/** Takes a key for a call. Undefined where nobody had it; otherwise what the first call under it was and was answered. */
export async function claimKey(trx: Writing, key: string, staffId: string, callHash: string) {
  const claimed = await trx
    .insertInto('request_receipt')
    .values({ key, staff_id: staffId, call_hash: callHash, status: null, response: null })
    .onConflict((conflict) => conflict.column('key').doNothing())
    .returning('key')
    .executeTakeFirst();
  return claimed
    ? undefined
    : trx.selectFrom('request_receipt').selectAll().where('key', '=', key).executeTakeFirstOrThrow();
}

export async function storeReply(trx: Writing, key: string, status: number, reply: unknown): Promise<void> {
  await trx
    .updateTable('request_receipt')
    .set({ status, response: JSON.stringify(reply) })
    .where('key', '=', key)
    .execute();
}
