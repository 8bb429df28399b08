import { GarageFile } from '@brackenfell/contract/garage-file';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import type { Context } from '../context/context.ts';
import { dayHere } from '../context/today.ts';
import type { Writing } from '../db/database.ts';
import { addCustomer, addFitted, addServed, addVehicle, runsInHours } from '../garage-book/store.ts';
import { toldOf } from './told-of.ts';

/** As gauges read a box: a little under and over the middle of what is asked. */
const SPREAD_MM = [0, 0.01, -0.01, 0.02, 0, -0.02, 0.01, 0] as const;

/**
 * Brings a garage book in, as the owner, into an empty one alone: vehicles, their readings, and what sits in them, from
 * slips of the past that name customer and vehicle, and from records of before. Every figure is told by the rules.
 */
export async function loadGarage(context: Context, raw: unknown): Promise<{ vehicles: number; records: number }> {
  const file = GarageFile.parse(raw);
  let records = 0;
  await context.db.transaction().execute(async (trx) => {
    const staffId = (await trx.selectFrom('staff').select('id').orderBy('id').executeTakeFirstOrThrow()).id;
    const customerOf = new Map<string, string>();
    for (const { name, phone, accountRef, isTrade } of file.customers)
      customerOf.set(name, await addCustomer(trx, { name, phone, account_ref: accountRef, is_trade: isTrade }));
    for (const vehicle of file.vehicles) {
      const { engineId, customer, perDay, months, readings, fitted, declined, ...same } = vehicle;
      const vehicleId = await addVehicle(trx, {
        ...same,
        customer_id: customer === null ? null : customerOf.get(customer)!,
        engine_id: engineId,
        per_day: perDay,
        ...(months && { months }),
        counts_in: (await runsInHours(trx, engineId)) ? 'hours' : 'distance',
      });
      for (const { on, served } of readings) await addServed(trx, { vehicleId, on, served, how: 'read', staffId });
      const row = { engine_id: engineId, duty: vehicle.duty, build: vehicle.build };
      const servedOn = new Map(readings.map(({ on, served }) => [on, served]));
      for (const line of await soldTo(trx, customer ?? '', vehicle.called, vehicleId)) {
        const on = dayHere(line.updated_at);
        const told = await toldOf(context, trx, row, line.part_id);
        await addFitted(trx, {
          vehicle_id: vehicleId,
          part_id: line.part_id,
          quantity: line.quantity,
          on_day: on,
          served: servedOn.get(on) ?? null,
          how: 'known',
          slip_line_id: line.id,
          ...told,
          staff_id: staffId,
        });
        await addGaps(trx, line, told.set_up, staffId);
        records += 1;
      }
      for (const { number, quantity, on, served, how } of fitted) {
        const part = await trx
          .selectFrom('part_name')
          .select('part_id')
          .where('printed', '=', number)
          .where('kind', '=', 'catalogue')
          .executeTakeFirstOrThrow();
        const told = await toldOf(context, trx, row, part.part_id);
        await addFitted(trx, {
          vehicle_id: vehicleId,
          part_id: part.part_id,
          quantity,
          on_day: on,
          served,
          how,
          slip_line_id: null,
          ...told,
          staff_id: staffId,
        });
        records += 1;
      }
      for (const { says, priceMinor, on } of declined)
        await trx
          .insertInto('declined_advice')
          .values({
            vehicle_id: vehicleId,
            says,
            price_minor: priceMinor,
            staff_id: staffId,
            at: new Date(`${on}T11:00:00Z`),
          })
          .execute();
    }
  });
  return { vehicles: file.vehicles.length, records };
}

/** Lines of collected slips that name this customer and vehicle; the slips are tied to it from here on. */
async function soldTo(trx: Writing, customer: string, called: string, vehicleId: string) {
  const slips = await trx
    .updateTable('slip')
    .set({ garage_vehicle_id: vehicleId })
    .where('customer', '=', customer)
    .where('vehicle', '=', called)
    .where('state', '=', 'collected')
    .returning('id')
    .execute();
  if (slips.length === 0) return [];
  return trx
    .selectFrom('slip_line')
    .innerJoin('slip', 'slip.id', 'slip_line.slip_id')
    .select(['slip_line.id', 'slip_line.part_id', 'slip_line.quantity', 'slip.updated_at'])
    .where(
      'slip_id',
      'in',
      slips.map(({ id }) => id),
    )
    .orderBy('slip.updated_at')
    .orderBy('slip_line.id')
    .execute();
}

/** Gaps as they were read when the set was sold. */
async function addGaps(
  trx: Writing,
  line: { readonly id: string; readonly quantity: number; readonly updated_at: Date },
  setUp: string | null,
  staffId: string,
): Promise<void> {
  const figures = setUp === null ? [] : (JSON.parse(setUp) as SetUpFigures[]);
  const range = figures[0]?.gap.range;
  if (!range) return;
  const middle = middleOf(range);
  await trx
    .insertInto('gap_reading')
    .values(
      Array.from({ length: line.quantity }, (_, i) => ({
        slip_line_id: line.id,
        piece: i + 1,
        stage: 'before' as const,
        gap_mm: Number((middle + SPREAD_MM[i % SPREAD_MM.length]!).toFixed(2)),
        how: 'gauged' as const,
        device: null,
        staff_id: staffId,
        at: line.updated_at,
      })),
    )
    .execute();
}
