import { DayFile } from '@brackenfell/contract/garage-file';
import { heldUntil } from '@brackenfell/core/slip/slip-states';
import { dayAfter } from '@brackenfell/core/words/calendar';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { today } from '../context/today.ts';
import { readVehicle, remembered } from '../garage-book/store.ts';
import { addLoan } from '../loan/store.ts';
import { putLine, readForPut } from '../slip/put-line.ts';
import { settleHold } from '../slip/settle-hold.ts';
import { addSlipRow, readSlip, storeKept, type SlipRow } from '../slip/store.ts';

/** Lays slips of the day down, as the owner: each line judged and told by the rules, each state one it may have. */
export async function loadDay(context: Context, raw: unknown): Promise<number> {
  const slips = DayFile.parse(raw);
  await context.db.transaction().execute(async (trx) => {
    const {
      id: staffId,
      name,
      role,
      initials,
    } = await trx.selectFrom('staff').selectAll().orderBy('id').executeTakeFirstOrThrow();
    const staff = { id: staffId, name, role, initials };
    for (const { docket, vehicle, cameFor, put, kept, state, endReason, lent } of slips) {
      const { id: vehicleId } = await trx
        .selectFrom('garage_vehicle')
        .select('id')
        .where('called', '=', vehicle)
        .orderBy('id')
        .executeTakeFirstOrThrow();
      const id = await addSlipRow(trx, {
        ...remembered((await readVehicle(trx, vehicleId))!),
        docket,
        came_for: cameFor,
        garage_vehicle_id: vehicleId,
        holder_id: staffId,
      });
      const slip = (await readSlip(trx, id))!;
      if (put) await putNumber(context, trx, slip, staff, put);
      for (const one of kept) await storeKept(trx, { slipId: id, kept: one, staffId });
      if (kept.length > 0) await settleHold(context, trx, slip);
      await trx
        .updateTable('slip')
        .set({
          state,
          held_until: state === 'quoted' || state === 'ready' ? heldUntil(today()) : null,
          end_reason: endReason ?? null,
        })
        .where('id', '=', id)
        .execute();
      if (lent)
        await addLoan(trx, {
          slipId: id,
          tool: lent.tool,
          depositMinor: lent.depositMinor,
          dueOn: dayAfter(today(), lent.inDays),
          staffId,
        });
    }
  });
  return slips.length;
}

/** Puts a part down by its printed number. */
async function putNumber(
  context: Context,
  trx: Writing,
  slip: SlipRow,
  staff: Staff,
  { number, quantity }: { readonly number: string; readonly quantity: number },
): Promise<void> {
  const { part_id: partId } = await trx
    .selectFrom('part_name')
    .select('part_id')
    .where('printed', '=', number)
    .where('kind', '=', 'catalogue')
    .executeTakeFirstOrThrow();
  const put = { partId, kind: 'sale', quantity, units: 'metric' } as const;
  const refused = await putLine(context, trx, slip, staff, put, await readForPut(trx, slip.id, partId));
  if (refused) throw new Error(`Slip ${slip.docket}: ${refused.detail}`);
}
