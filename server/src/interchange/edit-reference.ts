import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import type { Writing } from '../db/database.ts';
import { findEdge, rejectEdge, setWithdrawn } from './store.ts';
import { recordChange } from '../history/store.ts';
import { lockClusters, recluster } from './cluster-store.ts';

interface Edit {
  readonly edgeId: string;
  readonly staffId: string;
  readonly cut: boolean;
}

/**
 * Cuts a reference or joins it again, and makes the clusters it touches anew under their lock. Two people editing one
 * cluster wait for each other here, so both edits count. False when it already was so.
 */
export async function editReference(trx: Writing, { edgeId, staffId, cut }: Edit): Promise<boolean> {
  const edge = await findEdge(trx, edgeId);
  if (!edge) return false;
  const clusters = await lockClusters(trx, [edge.from_part_id, edge.to_part_id]);
  if (!(await rejectEdge(trx, { edgeId, staffId, cut }))) return false;
  await recordChange(trx, {
    staffId,
    subject: 'reference',
    subjectId: edgeId,
    action: cut ? 'cut' : 'joined again',
    before: { rejected: !cut },
    after: { rejected: cut },
  });
  await recluster(trx, clusters);
  await bumpCatalogueVersion(trx);
  return true;
}

/** Withdraws figures, or lets them stand again. Returns the parts whose ruling figures have to be chosen anew. */
export async function withdrawFigures(
  trx: Writing,
  { figureIds, staffId, withdrawn }: { figureIds: readonly string[]; staffId: string; withdrawn: boolean },
): Promise<string[]> {
  if (figureIds.length === 0) return [];
  const rows = await setWithdrawn(trx, figureIds, withdrawn);
  for (const { id } of rows)
    await recordChange(trx, {
      staffId,
      subject: 'figure',
      subjectId: id,
      action: withdrawn ? 'withdrawn' : 'stands again',
      before: { withdrawn: !withdrawn },
      after: { withdrawn },
    });
  return [...new Set(rows.flatMap(({ part_id }) => (part_id === null ? [] : [part_id])))];
}
