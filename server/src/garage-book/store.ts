import { sql, type InferResult, type Insertable, type Updateable } from 'kysely';
import { bareDigits, digitsOf, holding, SHORTEST_PHONE } from '../db/search.ts';
import type { Database, Writing } from '../db/database.ts';
import type { FittedRecordTable, GarageCustomerTable, GarageVehicleTable } from '../db/tables/garage.ts';

const vehicles = (db: Database) =>
  db
    .selectFrom('garage_vehicle')
    .leftJoin('engine', 'engine.id', 'garage_vehicle.engine_id')
    .leftJoin('maker', 'maker.id', 'engine.maker_id')
    .leftJoin('garage_customer', 'garage_customer.id', 'garage_vehicle.customer_id')
    .selectAll('garage_vehicle')
    .select([
      'engine.code as engine_code',
      'maker.name as engine_maker',
      'garage_customer.name as customer',
      'garage_customer.phone as phone',
    ]);
export type VehicleRow = InferResult<ReturnType<typeof vehicles>>[number];

export const readVehicle = (db: Database, id: string) =>
  vehicles(db).where('garage_vehicle.id', '=', id).executeTakeFirst();

/** What a slip takes over from a vehicle that is remembered. */
export const remembered = (row: VehicleRow) => ({
  customer: row.customer ?? '',
  phone: row.phone ?? '',
  vehicle: [row.called, row.plate].filter(Boolean).join(', ').slice(0, 120),
  engine_id: row.engine_id,
  build: row.build,
  duty: row.duty,
});

export const readVehiclesOf = (db: Database, customerId: string) =>
  vehicles(db).where('garage_vehicle.customer_id', '=', customerId).orderBy('garage_vehicle.id').execute();

/** Vehicles whose name, customer, plate, serial or phone holds what was asked; all of them without a question. */
export function vehiclesFound(db: Database, question: string, most: number) {
  const asked = question.trim().toLowerCase();
  const like = holding(asked);
  const bare = asked.replaceAll(/[^a-z0-9]/g, '');
  const digits = digitsOf(asked);
  let query = vehicles(db).orderBy('garage_vehicle.id', 'desc').limit(most);
  if (asked !== '')
    query = query.where((eb) =>
      eb.or([
        eb(sql<string>`lower(garage_vehicle.called || ' ' || coalesce(garage_customer.name, ''))`, 'like', like),
        ...(bare.length < 3
          ? []
          : [
              eb(
                sql<string>`regexp_replace(lower(garage_vehicle.plate || ' ' || garage_vehicle.serial), '[^a-z0-9 ]', '', 'g')`,
                'like',
                `%${bare}%`,
              ),
            ]),
        ...(digits.length < SHORTEST_PHONE ? [] : [eb(bareDigits('garage_customer.phone'), 'like', holding(digits))]),
      ]),
    );
  return query;
}

export const findVehicles = (db: Database, question: string, most: number): Promise<VehicleRow[]> =>
  vehiclesFound(db, question, most).execute();

export const countVehicles = async (db: Database): Promise<number> => {
  const { n } = await db
    .selectFrom('garage_vehicle')
    .select((eb) => eb.fn.countAll<string>().as('n'))
    .executeTakeFirstOrThrow();
  return Number(n);
};

export const readServed = (db: Database, vehicleIds: readonly string[]) =>
  db
    .selectFrom('served_reading')
    .innerJoin('staff', 'staff.id', 'served_reading.staff_id')
    .selectAll('served_reading')
    .select('staff.name as by')
    .where('vehicle_id', 'in', [...vehicleIds, '0'])
    .where('withdrawn_at', 'is', null)
    .orderBy('on_day')
    .orderBy('served_reading.id')
    .execute();
export type ServedRow = Awaited<ReturnType<typeof readServed>>[number];

export const readFitted = (db: Database, vehicleIds: readonly string[]) =>
  db
    .selectFrom('fitted_record')
    .innerJoin('staff', 'staff.id', 'fitted_record.staff_id')
    .innerJoin('part', 'part.id', 'fitted_record.part_id')
    .innerJoin('maker', 'maker.id', 'part.maker_id')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'part.id').on('part_name.kind', 'in', ['catalogue', 'oe']),
    )
    .leftJoin('slip_line', 'slip_line.id', 'fitted_record.slip_line_id')
    .leftJoin('slip', 'slip.id', 'slip_line.slip_id')
    .leftJoin('batch', 'batch.id', 'slip_line.batch_id')
    .selectAll('fitted_record')
    .select((eb) => [
      'staff.name as by',
      'part.kind as part_kind',
      'part_name.printed',
      'maker.name as maker',
      'slip.id as slip_id',
      'slip.docket',
      'batch.code as batch_code',
      // The last reading of each piece stands: how it was set, or how it was found where it needed no setting.
      sql<{ piece: number; stage: 'before' | 'after'; gapMm: number }[]>`coalesce((
        select json_agg(json_build_object('piece', piece, 'stage', stage, 'gapMm', gap_mm) order by piece)
          from (select distinct on (piece) piece, stage, gap_mm from gap_reading
                 where slip_line_id = ${eb.ref('fitted_record.slip_line_id')} and withdrawn_at is null
                 order by piece, id desc) as last), '[]'::json)`.as('gaps'),
    ])
    .where('vehicle_id', 'in', [...vehicleIds, '0'])
    .where('fitted_record.withdrawn_at', 'is', null)
    .orderBy('fitted_record.id')
    .execute();
export type FittedRow = Awaited<ReturnType<typeof readFitted>>[number];

export const readDeclined = (db: Database, vehicleId: string) =>
  db
    .selectFrom('declined_advice')
    .innerJoin('staff', 'staff.id', 'declined_advice.staff_id')
    .leftJoin('staff as raiser', 'raiser.id', 'declined_advice.raised_by_id')
    .selectAll('declined_advice')
    .select(['staff.name as by', 'raiser.name as raised_by'])
    .where('vehicle_id', '=', vehicleId)
    .orderBy('declined_advice.id', 'desc')
    .execute();

export const readSlipsOf = (db: Database, vehicleId: string) =>
  db
    .selectFrom('slip')
    .select(['id', 'docket', 'state', 'came_for', 'updated_at'])
    .where('garage_vehicle_id', '=', vehicleId)
    .orderBy('id', 'desc')
    .execute();

export const readKeptOf = (db: Database, vehicleId: string) =>
  db
    .selectFrom('slip_kept')
    .innerJoin('slip', 'slip.id', 'slip_kept.slip_id')
    .select(['slip_kept.kept', 'slip_kept.at', 'slip.id as slip_id', 'slip.docket'])
    .distinctOn(['slip.id', 'slip_kept.kind'])
    .where('slip.garage_vehicle_id', '=', vehicleId)
    .orderBy('slip.id', 'desc')
    .orderBy('slip_kept.kind')
    .orderBy('slip_kept.id', 'desc')
    .execute();

/** A customer as they stand: of an entry that was merged, the one it went into. */
export const readCustomer = (db: Database, id: string) =>
  db
    .selectFrom('garage_customer')
    .selectAll()
    .where('id', '=', id)
    .where('merged_into_id', 'is', null)
    .where('erased_at', 'is', null)
    .executeTakeFirst();

/** Somebody of that very name and phone, so that a second visit makes no second customer. */
export const findCustomer = (db: Database, name: string, phone: string) =>
  db
    .selectFrom('garage_customer')
    .select('id')
    .where(sql<string>`lower(name)`, '=', name.toLowerCase())
    .where(bareDigits('phone'), '=', digitsOf(phone))
    .where('merged_into_id', 'is', null)
    .where('erased_at', 'is', null)
    .orderBy('id')
    .executeTakeFirst();

export async function addCustomer(trx: Writing, row: Insertable<GarageCustomerTable>): Promise<string> {
  return (await trx.insertInto('garage_customer').values(row).returning('id').executeTakeFirstOrThrow()).id;
}

export async function addVehicle(trx: Writing, row: Insertable<GarageVehicleTable>): Promise<string> {
  return (await trx.insertInto('garage_vehicle').values(row).returning('id').executeTakeFirstOrThrow()).id;
}

interface At {
  readonly id: string;
  readonly version: number;
}

/** False where somebody changed it meanwhile. */
export async function changeVehicleRow(trx: Writing, { id, version }: At, set: Updateable<GarageVehicleTable>) {
  const { numUpdatedRows } = await trx
    .updateTable('garage_vehicle')
    .set({ ...set, version: version + 1 })
    .where('id', '=', id)
    .where('version', '=', version)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

/** False where somebody changed it meanwhile, or it is somebody else's by now. */
export async function changeCustomerRow(trx: Writing, { id, version }: At, set: Updateable<GarageCustomerTable>) {
  const { numUpdatedRows } = await trx
    .updateTable('garage_customer')
    .set({ ...set, version: version + 1 })
    .where('id', '=', id)
    .where('version', '=', version)
    .where('merged_into_id', 'is', null)
    .where('erased_at', 'is', null)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}

export async function addServed(
  trx: Writing,
  row: { vehicleId: string; on: string; served: number; how: 'read' | 'said'; staffId: string },
): Promise<void> {
  await trx
    .insertInto('served_reading')
    .values({ vehicle_id: row.vehicleId, on_day: row.on, served: row.served, how: row.how, staff_id: row.staffId })
    .execute();
}

export async function addFitted(trx: Writing, row: Insertable<FittedRecordTable>): Promise<void> {
  await trx
    .insertInto('fitted_record')
    .values(row)
    .onConflict((on) => on.column('slip_line_id').where('slip_line_id', 'is not', null).doNothing())
    .execute();
}

/** Whether it was there to be taken back. */
export async function withdraw(
  trx: Writing,
  table: 'served_reading' | 'fitted_record',
  { id, vehicleId }: { id: string; vehicleId: string },
): Promise<boolean> {
  const { rows } = await sql`update ${sql.table(table)} set withdrawn_at = now()
    where id = ${id} and vehicle_id = ${vehicleId} and withdrawn_at is null returning id`.execute(trx);
  return rows.length > 0;
}

/** Whether an engine counts its service in running hours. */
export async function runsInHours(db: Database, engineId: string): Promise<boolean> {
  const row = await db
    .selectFrom('figure')
    .innerJoin('engine_position', 'engine_position.id', 'figure.position_id')
    .select('figure.id')
    .where('engine_position.engine_id', '=', engineId)
    .where('figure.attribute', '=', 'position.intervalHours')
    .where('figure.withdrawn_at', 'is', null)
    .limit(1)
    .executeTakeFirst();
  return row !== undefined;
}

/** From here on a slip is for that vehicle of the garage book. */
export async function tieSlip(trx: Writing, slipId: string, vehicleId: string): Promise<void> {
  await trx.updateTable('slip').set({ garage_vehicle_id: vehicleId }).where('id', '=', slipId).execute();
}
