import { sql } from 'kysely';
import type { Database, Writing } from '../db/database.ts';

/** Slips of a customer's vehicles, the latest first. */
export async function slipsOfCustomer(db: Database, customerId: string): Promise<string[]> {
  const rows = await db
    .selectFrom('slip')
    .innerJoin('garage_vehicle', 'garage_vehicle.id', 'slip.garage_vehicle_id')
    .select('slip.id')
    .where('garage_vehicle.customer_id', '=', customerId)
    .orderBy('slip.id', 'desc')
    .execute();
  return rows.map(({ id }) => id);
}

interface Gone {
  readonly slips: number;
  readonly vehicles: number;
  readonly papers: number;
  readonly notes: number;
}

/** Unlinks a person from slips, papers, history and kept answers; the database's own function alone may. */
export async function erase(trx: Writing, customerId: string): Promise<Gone> {
  const { rows } =
    await sql<Gone>`select slips, vehicles, papers, notes from erase_person(${customerId}::bigint)`.execute(trx);
  return rows[0]!;
}

/** Everything of the one entry goes to the other; entries merged before follow. */
export async function mergeInto(trx: Writing, fromId: string, intoId: string): Promise<void> {
  await trx.updateTable('garage_vehicle').set({ customer_id: intoId }).where('customer_id', '=', fromId).execute();
  await trx
    .updateTable('garage_customer')
    .set({ merged_into_id: intoId })
    .where('merged_into_id', '=', fromId)
    .execute();
}

export async function addDeclined(
  trx: Writing,
  advice: { vehicleId: string; says: string; priceMinor: number | null; staffId: string },
): Promise<void> {
  await trx
    .insertInto('declined_advice')
    .values({
      vehicle_id: advice.vehicleId,
      says: advice.says,
      price_minor: advice.priceMinor,
      staff_id: advice.staffId,
    })
    .execute();
}

/** Whether it had not been raised before: declined advice is raised once. */
export async function raise(
  trx: Writing,
  { vehicleId, declinedId, taken, staffId }: { vehicleId: string; declinedId: string; taken: boolean; staffId: string },
): Promise<boolean> {
  const { numUpdatedRows } = await trx
    .updateTable('declined_advice')
    .set({ raised_at: new Date(), raised_by_id: staffId, taken })
    .where('id', '=', declinedId)
    .where('vehicle_id', '=', vehicleId)
    .where('raised_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
