import type { Batch } from '@brackenfell/contract/quarantine';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { projectSupply } from './project-supply.ts';
import { addEvent, lockSlipsSelling, moveBatch, noteOnSlips, readBatches, type BatchRow } from './batch-store.ts';
import { upperFirst } from '@brackenfell/core/words/case';

type Action = 'hold' | 'release' | 'confirm' | 'notice';

interface Move {
  readonly batchId: string;
  /** The version the caller saw; left out where the move follows from an inspection or a notice. */
  readonly version?: number | undefined;
  readonly action: Action;
  readonly reason: string;
  readonly staffId: string;
  readonly inspectionId?: string | undefined;
}

const BECOMES: Readonly<Record<Action, Batch['state']>> = {
  hold: 'held',
  notice: 'held',
  release: 'released',
  confirm: 'confirmed',
};

export const batchName = ({ printed, code }: Pick<BatchRow, 'printed' | 'code'>): string =>
  code === '' ? `the delivery of ${printed}` : `batch ${code} of ${printed}`;

function sayOnSlip(batch: BatchRow, action: Action): string {
  const name = upperFirst(batchName(batch));
  return action === 'release'
    ? `${name} is released by the supervisor.`
    : action === 'confirm'
      ? `${name} is confirmed as not genuine: hand none of it over.`
      : `${name} is held in quarantine: hand none of it over until it is settled.`;
}

/**
 * Holds, releases or confirms a batch. What that means takes hold everywhere in the same transaction: open slips that
 * would sell of it are told, trays refuse a part of which nothing else is left, and the database refuses the sale.
 */
export async function changeBatch(trx: Writing, move: Move): Promise<Trouble | undefined> {
  const [batch] = await readBatches(trx, { batchId: move.batchId });
  if (!batch) return trouble('not-found', 'There is no such batch.');
  const state = BECOMES[move.action];
  if (batch.state === state) return trouble('not-allowed-now', `It is ${state} already.`);
  if (state === 'held' && batch.state === 'confirmed')
    return trouble('not-allowed-now', 'A supervisor has confirmed it as not genuine: it cannot be sold as it is.');
  const slips = await lockSlipsSelling(trx, batch.part_id, batch.id);
  const moved = await moveBatch(trx, { batchId: batch.id, version: move.version ?? batch.version, state });
  if (!moved) return trouble('changed-meanwhile', 'Somebody changed the batch meanwhile: look at it as it stands now.');
  await addEvent(trx, move);
  await noteOnSlips(trx, slips, move.staffId, sayOnSlip(batch, move.action));
  await projectSupply(trx, [batch.part_id]);
  await recordChange(trx, {
    staffId: move.staffId,
    subject: 'batch',
    subjectId: batch.id,
    action: move.action,
    before: { state: batch.state },
    after: { state, reason: move.reason },
  });
  return undefined;
}
