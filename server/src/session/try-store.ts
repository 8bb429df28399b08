import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

const WINDOW_MINUTES = 5;
/** Wrong tries at one person's secret, whichever way it is asked for. */
const MOST_PER_PERSON = 10;
/** Wrong tries from one address at whomever: a shop's counter may stand behind one. */
const MOST_PER_ADDRESS = 60;

export interface Tried {
  readonly staffId: string | null;
  readonly what: 'sign-in' | 'pin';
  readonly address: string;
}

/**
 * Writes a try down as failed before the secret is looked at, so that many at once count too, and says whether there have
 * been too many; a right one is struck out with `strike`.
 */
export async function countTry(
  db: Database,
  { staffId, what, address }: Tried,
): Promise<{ id: string; tooMany: boolean }> {
  const { id } = await db
    .insertInto('failed_try')
    .values({ staff_id: staffId, what, address })
    .returning('id')
    .executeTakeFirstOrThrow();
  const { rows } = await sql<{ person: number; address: number }>`
    select count(*) filter (where staff_id = ${staffId} and what = ${what})::int as person,
           count(*) filter (where address = ${address})::int as address
      from failed_try where at > now() - make_interval(mins => ${WINDOW_MINUTES}) and id <= ${id}`.execute(db);
  const { person, address: here } = rows[0]!;
  return { id, tooMany: person > MOST_PER_PERSON || here > MOST_PER_ADDRESS };
}

export async function strike(db: Database, id: string): Promise<void> {
  await db.deleteFrom('failed_try').where('id', '=', id).execute();
}

/** Failed tries of the last thirty days, latest first: one person's, or everybody's for a supervisor. */
export async function readTries(db: Database, staffId: string | undefined) {
  let query = db
    .selectFrom('failed_try')
    .leftJoin('staff', 'staff.id', 'failed_try.staff_id')
    .select(['failed_try.id', 'staff.name', 'failed_try.what', 'failed_try.address', 'failed_try.at'])
    .where('failed_try.at', '>', sql<Date>`now() - interval '30 days'`)
    .orderBy('failed_try.id', 'desc')
    .limit(200);
  if (staffId !== undefined) query = query.where('failed_try.staff_id', '=', staffId);
  return query.execute();
}
