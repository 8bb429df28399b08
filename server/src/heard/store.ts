import type { Insertable } from 'kysely';
import type { Database, Writing } from '../db/database.ts';
import type { HeardClaimTable } from '../db/tables/counter.ts';

/** What the shop wrote last of each claim; one that was taken away says so. */
export const readOwnClaims = (db: Database) =>
  db
    .selectFrom('heard_claim')
    .innerJoin('staff', 'staff.id', 'heard_claim.staff_id')
    .distinctOn('claim_key')
    .select([
      'heard_claim.claim_key',
      'heard_claim.says',
      'heard_claim.answer',
      'heard_claim.basis',
      'heard_claim.is_taken_away',
      'staff.name as by',
    ])
    .orderBy('claim_key')
    .orderBy('heard_claim.id', 'desc')
    .execute();

export async function storeClaim(trx: Writing, claim: Insertable<HeardClaimTable>): Promise<void> {
  await trx.insertInto('heard_claim').values(claim).execute();
}
