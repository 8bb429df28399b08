import type { Writing } from '../db/database.ts';
import { projectSupply } from './project-supply.ts';
import { lockSellable, moveStock, readSoldLines } from './store.ts';

/**
 * A slip is collected: what it sells leaves the shelf. Pieces whose batch nobody named are taken to be of the oldest that may
 * be sold, and written down as taken for granted: a recall tells the two apart.
 */
export async function takeFromStock(trx: Writing, slipId: string, staffId: string): Promise<void> {
  const lines = await readSoldLines(trx, slipId);
  for (const line of lines) {
    const take = (batchId: string | null, quantity: number, named: boolean) =>
      moveStock(trx, {
        partId: line.part_id,
        batchId,
        quantity: -quantity,
        why: 'sold',
        lineId: line.id,
        named,
        staffId,
      });
    if (line.batch_id !== null) {
      await take(line.batch_id, line.quantity, true);
      continue;
    }
    let left = line.quantity;
    for (const batch of await lockSellable(trx, line.part_id)) {
      const quantity = Math.min(left, batch.on_hand);
      if (quantity > 0) await take(batch.id, quantity, false);
      left -= quantity;
    }
    if (left > 0) await take(null, left, false);
  }
  await projectSupply(
    trx,
    lines.map(({ part_id }) => part_id),
  );
}
