import { type MendingChange } from '@brackenfell/contract/mending';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { today } from '../context/today.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { lockClusters, recluster } from '../interchange/cluster-store.ts';
import { editReference, withdrawFigures } from '../interchange/edit-reference.ts';
import { changeListing, changeName, takeBackNameOrListing } from './names-and-listings.ts';
import {
  addEdge,
  addFigure,
  findFigure,
  readEdges,
  readPrice,
  setPrice,
  type MendingEntry,
  type Price,
} from './store.ts';

const GONE = 'It does not stand any more: look at the part as it is now.';

async function makeReference(
  trx: Writing,
  partId: string,
  change: Extract<MendingChange, { what: 'reference' }>,
  staffId: string,
): Promise<Trouble | undefined> {
  if (change.toPartId === partId) return trouble('invalid-request', 'A part says nothing of itself.');
  const clusters = await lockClusters(trx, [partId, change.toPartId]);
  const edgeId = await addEdge(trx, partId, change, today());
  if (edgeId === undefined)
    return trouble('already-there', 'That source says so already, or it was cut: it can be joined again below.');
  const { toPartId, grade, source, inForceFrom } = change;
  await recordChange(trx, {
    staffId,
    subject: 'reference',
    subjectId: edgeId,
    action: 'added',
    after: { toPartId, grade, source, inForceFrom },
  });
  await recluster(trx, clusters);
  await bumpCatalogueVersion(trx);
  return undefined;
}

/** Makes a change of a part, with its entry in the history; a trouble where it cannot be made any more. */
export async function make(
  trx: Writing,
  partId: string,
  change: MendingChange,
  staffId: string,
): Promise<Trouble | undefined> {
  if (change.what === 'price') {
    await changePrice(trx, partId, change, staffId);
    return undefined;
  }
  if (change.what === 'reference') return makeReference(trx, partId, change, staffId);
  if (change.what === 'name' || change.what === 'unname') return changeName(trx, partId, change, staffId);
  if (change.what === 'listing' || change.what === 'unlist') return changeListing(trx, partId, change, staffId);
  if (change.what === 'cut') {
    const isOwn = (await readEdges(trx, partId)).some(({ id, is_cut }) => id === change.edgeId && !is_cut);
    return isOwn && (await editReference(trx, { edgeId: change.edgeId, staffId, cut: true }))
      ? undefined
      : trouble('changed-meanwhile', GONE);
  }
  if (change.what === 'figure') {
    const { fact, value, rank, source } = change;
    const figureId = await addFigure(trx, partId, change);
    await recordChange(trx, {
      staffId,
      subject: 'figure',
      subjectId: figureId,
      action: 'added',
      after: { fact, value, rank, source },
    });
  } else {
    const figure = await findFigure(trx, partId, change.figureId);
    if (figure?.withdrawn_at !== null) return trouble('changed-meanwhile', GONE);
    await withdrawFigures(trx, { figureIds: [figure.id], staffId, withdrawn: true });
  }
  await chooseFigures(trx, [partId], []);
  return undefined;
}

async function changePrice(trx: Writing, partId: string, { eachMinor, packOf }: Price, staffId: string): Promise<void> {
  const before = await readPrice(trx, partId);
  const after = { eachMinor, packOf };
  await setPrice(trx, partId, after);
  await recordChange(trx, { staffId, subject: 'price', subjectId: partId, action: 'changed', before, after });
}

/**
 * Whether it is the last word on what it changed. The first price there ever was has nothing to go back to, and one that a list
 * has changed since is not gone back from.
 */
export function canUndo({ is_last, subject, before, after }: MendingEntry, price: Price | null): boolean {
  if (!is_last || subject !== 'price') return is_last;
  const { eachMinor, packOf } = after as Price;
  return before !== null && price?.eachMinor === eachMinor && price.packOf === packOf;
}

/** What a change replaced holds again. */
export async function takeBack(trx: Writing, partId: string, entry: MendingEntry, staffId: string): Promise<void> {
  if (entry.subject === 'price') return changePrice(trx, partId, entry.before as Price, staffId);
  if (entry.subject === 'name' || entry.subject === 'listing')
    return takeBackNameOrListing(trx, partId, entry, staffId);
  if (entry.subject === 'reference') {
    await editReference(trx, { edgeId: entry.subject_id, staffId, cut: entry.action !== 'cut' });
    return;
  }
  await withdrawFigures(trx, { figureIds: [entry.subject_id], staffId, withdrawn: entry.action !== 'withdrawn' });
  await chooseFigures(trx, [partId], []);
}
