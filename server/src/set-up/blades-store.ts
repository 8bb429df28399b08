import type { OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { Database, Writing } from '../db/database.ts';

/** The blades the shop said last that it owns; undefined while nobody has. */
export const readBlades = (db: Database) =>
  db
    .selectFrom('blades_owned')
    .innerJoin('staff', 'staff.id', 'blades_owned.staff_id')
    .select(['blades_owned.blades', 'blades_owned.at', 'staff.name as by'])
    .orderBy('blades_owned.id', 'desc')
    .limit(1)
    .executeTakeFirst();

export async function storeBlades(trx: Writing, blades: readonly OwnedBlade[], staffId: string): Promise<void> {
  await trx
    .insertInto('blades_owned')
    .values({ blades: JSON.stringify(blades), staff_id: staffId })
    .execute();
}
