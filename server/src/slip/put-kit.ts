import type { Staff } from '@brackenfell/contract/session';
import { readKit } from '../catalogue/shelf-store.ts';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import type { Trouble } from '../http/trouble.ts';
import { putLine, readForPut, type Put } from './put-line.ts';
import type { SlipRow } from './store.ts';

/**
 * Puts a kit down as the parts in it, each judged by itself. The first that does not go is the answer, and with it nothing of
 * the kit is put down: whoever called takes back what was written.
 */
export async function putKit(
  context: Context,
  trx: Writing,
  slip: SlipRow,
  staff: Staff,
  { partId, kind, onTop, units }: Put,
  kit: string,
): Promise<Trouble | undefined> {
  for (const held of await readKit(trx, partId)) {
    const put = { partId: held.partId, kind, onTop, units, quantity: held.quantity * slip.engine_count, ofKit: kit };
    const refused = await putLine(context, trx, slip, staff, put, await readForPut(trx, slip.id, held.partId));
    if (refused) return { ...refused, detail: `Nothing of ${kit} was put down. ${held.printed}: ${refused.detail}` };
  }
  return undefined;
}
