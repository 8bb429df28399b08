import type { Express } from 'express';
import { factsOfKind, isRecordable } from '@brackenfell/core/facts/fact-form';
import { FACTS } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { getMending, mendPart, previewMending, undoMending, type MendingChange } from '@brackenfell/contract/mending';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { canUndo, make, takeBack } from './make-change.ts';
import { previewOf } from './preview.ts';
import { partToMend, showMending } from './show-mending.ts';
import { readHistory, readPrice } from './store.ts';

/** Why a change cannot be made of a part; undefined where it can. */
function amiss(kind: PartKind, change: MendingChange): Trouble | undefined {
  if (change.what !== 'figure') return undefined;
  if (!factsOfKind(kind).includes(change.fact))
    return trouble('invalid-request', `A ${kind} has no ${FACTS[change.fact].label}.`, {
      'change.fact': 'is of another kind',
    });
  return isRecordable(change.fact, change.value)
    ? undefined
    : trouble('invalid-request', `That is no ${FACTS[change.fact].label}.`, {
        'change.value': 'is not what it records',
      });
}

/** What is recorded of a part, changed and taken back by those who keep the catalogue. */
export function mendingRoutes(app: Express, context: Context): void {
  serve(app, context, getMending, ({ params, db }) => showMending(context, db, params.partId));

  serve(app, context, previewMending, async ({ params: { partId }, body: { change }, staff, db }) => {
    const part = await partToMend(db, partId);
    if (isTrouble(part)) return part;
    const wrong = amiss(part.kind, change);
    return wrong ?? previewOf(context, db, { ...part, id: partId }, change, staff.id);
  });

  serve(app, context, mendPart, async ({ params: { partId }, body: { change }, staff, trx }) => {
    const part = await partToMend(trx, partId);
    if (isTrouble(part)) return part;
    const wrong = amiss(part.kind, change) ?? (await make(trx, partId, change, staff.id));
    return wrong ?? showMending(context, trx, partId);
  });

  serve(app, context, undoMending, async ({ params: { partId }, body: { entryId }, staff, trx }) => {
    const entry = (await readHistory(trx, partId)).find(({ id }) => id === entryId);
    if (!entry || !canUndo(entry, await readPrice(trx, partId)))
      return trouble('changed-meanwhile', 'It has been changed again since: look at the part as it is now.');
    await takeBack(trx, partId, entry, staff.id);
    return showMending(context, trx, partId);
  });
}
