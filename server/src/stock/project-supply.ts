import { isPartKind, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { chooseFigures } from '../catalogue/figure-store.ts';
import type { Writing } from '../db/database.ts';
import { readOnlyHeld, readPartKind, setQuarantineFigure } from './supply-store.ts';

const SUPPLY: Readonly<Record<PartKind, string>> = {
  plug: 'plug.supply',
  coil: 'coil.supply',
  'lead-set': 'leads.supply',
  cap: 'cap.supply',
  rotor: 'rotor.supply',
};

/**
 * Lets every tray know: a part of which nothing is left but held batches is refused by its supply check; once something
 * else arrives or the batch is released, no longer. Called wherever a batch's state or the stock changes.
 */
export async function projectSupply(trx: Writing, partIds: readonly string[]): Promise<void> {
  const changed: string[] = [];
  for (const partId of [...new Set(partIds)].sort()) {
    const { kind } = await readPartKind(trx, partId);
    if (!isPartKind(kind)) continue;
    const { onlyHeld, code } = await readOnlyHeld(trx, partId);
    const source = `Quarantine, ${code === '' ? 'a delivery' : `batch ${code}`}`;
    if (await setQuarantineFigure(trx, { partId, attribute: SUPPLY[kind], source, present: onlyHeld }))
      changed.push(partId);
  }
  if (changed.length > 0) await chooseFigures(trx, changed, []);
}
