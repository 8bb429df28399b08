import type { Express } from 'express';
import { factsOfKind } from '@brackenfell/core/facts/fact-form';
import { FACTS, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { FormNode } from '@brackenfell/core/record/form-node';
import {
  formOfRecord,
  formsOfAsked,
  getRecord,
  getRecordForm,
  listMakers,
  previewRecord,
  undoRecord,
  writeRecord,
  type RecordKind,
  type RecordLine,
} from '@brackenfell/contract/record';
import { lockCatalogue } from '../catalogue/version-store.ts';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { whenAsked } from '../http/when-asked.ts';
import { amissIn } from './amiss.ts';
import { previewOf, sayDifferences } from './preview.ts';
import { canUndo, printOf, showRecord } from './show-record.ts';
import { readEntries, readLine, readMakers } from './store.ts';
import { isSpokenFor, putRecord, removeRecord } from './record-store.ts';

/** Engines, heat scales and numberings, each mended as a whole by those who keep the catalogue. */
export function recordRoutes(app: Express, context: Context): void {
  const labelled = (forms: readonly (readonly [string, FormNode])[]) =>
    Object.fromEntries(forms.map(([fact, form]) => [fact, { label: FACTS[fact as RecordedFactId].label, form }]));
  const figures = whenAsked(() => ({
    engine: labelled(Object.entries(formsOfAsked())),
    'heat-scale': {},
    // What a number tells is of a plug; it is stated as a figure or a code beside it.
    numbering: labelled(factsOfKind('plug').map((fact) => [fact, { of: 'flag' }])),
  }));
  serve(app, context, getRecordForm, ({ params: { kind } }) =>
    Promise.resolve({ form: formOfRecord(kind), figures: figures()[kind] }),
  );

  serve(app, context, listMakers, async ({ db }) => ({ makers: await readMakers(db) }));

  serve(app, context, getRecord, ({ params: { kind, key }, db }) => showRecord(db, kind, key));

  serve(app, context, previewRecord, async ({ params: { kind, key }, body: { line }, db }) => {
    const before = await readLine(db, kind, key);
    const wrong = await amissIn(db, kind, key, before, line);
    return wrong ?? previewOf(context, db, before, line);
  });

  serve(app, context, writeRecord, async ({ params: { kind, key }, body: { line, seen }, staff, trx }) => {
    await lockCatalogue(trx);
    const before = await readLine(trx, kind, key);
    if (printOf(before) !== seen)
      return trouble(
        'changed-meanwhile',
        'Somebody else has changed it since: look at it as it is now. What you filled in is kept.',
      );
    const wrong = await amissIn(trx, kind, key, before, line);
    if (wrong) return wrong;
    if (before && sayDifferences(before, line).length === 0) return showRecord(trx, kind, key);
    await putRecord(trx, line);
    await note(trx, kind, key, staff.id, before);
    return showRecord(trx, kind, key);
  });

  serve(app, context, undoRecord, async ({ params: { kind, key }, body: { entryId }, staff, trx }) => {
    await lockCatalogue(trx);
    const before = await readLine(trx, kind, key);
    const [last] = await readEntries(trx, kind, key);
    if (last?.id !== entryId || !canUndo(last, before))
      return trouble('changed-meanwhile', 'It has been changed again since: look at it as it is now.');
    if (last.before) await putRecord(trx, last.before);
    else if (await isSpokenFor(trx, kind, key))
      return trouble('not-allowed-now', 'Slips, vehicles or lists speak of it already: it stays.');
    else await removeRecord(trx, kind, key);
    await note(trx, kind, key, staff.id, before);
    return showRecord(trx, kind, key);
  });
}

/** Puts what was changed into the history, as it is read back. */
async function note(trx: Writing, kind: RecordKind, key: string, staffId: string, before: RecordLine | undefined) {
  const after = await readLine(trx, kind, key);
  const action = before ? (after ? 'changed' : 'removed') : 'added';
  await recordChange(trx, { staffId, subject: kind, subjectId: key, action, before, after });
}
