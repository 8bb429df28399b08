import { createHash } from 'node:crypto';
import type { Express } from 'express';
import { factsOfKind } from '@brackenfell/core/facts/fact-form';
import { FACTS, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { FormNode } from '@brackenfell/core/record/form-node';
import { stable } from '@brackenfell/core/words/stable';
import {
  formOfRecord,
  formsOfAsked,
  getRecord,
  getRecordForm,
  listMakers,
  previewRecord,
  undoRecord,
  writeRecord,
  type CatalogueRecord,
  type RecordKind,
  type RecordLine,
} from '@brackenfell/contract/record';
import { lockCatalogue } from '../catalogue/version-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { previewOf, sayDifferences } from './preview.ts';
import { findMaker, findParts, partKey, readEntries, readLine, readMakers, type RecordEntry } from './store.ts';
import { isSpokenFor, putRecord, removeRecord } from './record-store.ts';

/** Engines, heat scales and numberings, each mended as a whole by those who keep the catalogue. */
export function recordRoutes(app: Express, context: Context): void {
  const labelled = (forms: readonly (readonly [string, FormNode])[]) =>
    Object.fromEntries(forms.map(([fact, form]) => [fact, { label: FACTS[fact as RecordedFactId].label, form }]));
  const figures = {
    engine: labelled(Object.entries(formsOfAsked())),
    'heat-scale': {},
    // What a number tells is of a plug; it is stated as a figure or a code beside it.
    numbering: labelled(factsOfKind('plug').map((fact) => [fact, { of: 'flag' }])),
  };
  serve(app, context, getRecordForm, ({ params: { kind } }) =>
    Promise.resolve({ form: formOfRecord(kind), figures: figures[kind] }),
  );

  serve(app, context, listMakers, async ({ db }) => ({ makers: await readMakers(db) }));

  serve(app, context, getRecord, ({ params: { kind, key }, db }) => show(db, kind, key));

  serve(app, context, previewRecord, async ({ params: { kind, key }, body: { line }, db }) => {
    const before = await readLine(db, kind, key);
    const wrong = await amiss(db, kind, key, before, line);
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
    const wrong = await amiss(trx, kind, key, before, line);
    if (wrong) return wrong;
    if (before && sayDifferences(before, line).length === 0) return show(trx, kind, key);
    await putRecord(trx, line);
    await note(trx, kind, key, staff.id, before);
    return show(trx, kind, key);
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
    return show(trx, kind, key);
  });
}

type Trx = Parameters<typeof recordChange>[0];

/** Puts what was changed into the history, as it is read back. */
async function note(trx: Trx, kind: RecordKind, key: string, staffId: string, before: RecordLine | undefined) {
  const after = await readLine(trx, kind, key);
  const action = before ? (after ? 'changed' : 'removed') : 'added';
  await recordChange(trx, { staffId, subject: kind, subjectId: key, action, before, after });
}

/** Of which state a record is. */
const printOf = (line: RecordLine | undefined): string =>
  line ? createHash('sha256').update(stable(line)).digest('hex').slice(0, 32) : 'none';

const canUndo = (entry: RecordEntry, line: RecordLine | undefined): boolean =>
  stable(entry.after ?? null) === stable(line ?? null);

const TITLES: Readonly<Record<RecordKind, string>> = {
  engine: 'Engine',
  'heat-scale': 'Heat scale of',
  numbering: 'Numbering of',
};

async function show(db: Database, kind: RecordKind, key: string): Promise<CatalogueRecord | Trouble> {
  const line = await readLine(db, kind, key);
  const maker = await findMaker(db, line?.line === 'engine' ? line.maker : key);
  if (kind !== 'engine' && !maker) return trouble('not-found', 'No maker of this catalogue has that key.');
  const name = kind !== 'engine' ? maker!.name : line?.line === 'engine' ? `${maker?.name ?? ''} ${line.code}` : key;
  const entries = await readEntries(db, kind, key);
  return {
    kind,
    key,
    title: `${TITLES[kind]} ${name}`,
    line: line ?? null,
    seen: printOf(line),
    history: entries.map((entry, i) => ({
      entryId: entry.id,
      at: entry.at.toISOString(),
      by: entry.by,
      says: sayDifferences(entry.before ?? undefined, entry.after ?? undefined),
      canUndo: i === 0 && canUndo(entry, line),
    })),
  };
}

/** Why a line cannot stand as this record; what it says of itself is the contract’s to check. */
async function amiss(
  db: Database,
  kind: RecordKind,
  key: string,
  before: RecordLine | undefined,
  line: RecordLine,
): Promise<Trouble | undefined> {
  const own = line.line === 'engine' ? line.id : line.line === 'heat-scale' ? line.maker : line.grammar.maker;
  if (line.line !== kind || own !== key)
    return trouble('invalid-request', 'It is of something else than what is mended.', { line: 'is of something else' });
  const makerKey = line.line === 'engine' ? line.maker : key;
  if (!(await findMaker(db, makerKey)))
    return trouble('invalid-request', `No maker of this catalogue has the key “${makerKey}”.`, {
      'line.maker': 'is no maker’s key',
    });
  if (line.line === 'numbering') return ofSigns(before, line.grammar.significant);
  if (line.line !== 'engine') return undefined;
  const parts = await findParts(
    db,
    line.named.map(({ part }) => part),
  );
  const strange = line.named.findIndex(({ part }) => !parts.has(partKey(part)));
  if (strange < 0) return undefined;
  const { maker, number } = line.named[strange]!.part;
  return trouble('invalid-request', `${maker} ${number} is no number of this catalogue.`, {
    [`line.named.${strange}.part.number`]: 'is no number of this catalogue',
  });
}

/** Numbers are kept as they were read by the signs that counted then. */
function ofSigns(before: RecordLine | undefined, significant: string): Trouble | undefined {
  const held = before?.line === 'numbering' ? before.grammar.significant : '';
  return held === significant
    ? undefined
    : trouble('not-allowed-now', 'Which signs count stays as it is: every number of the maker is kept by them.', {
        'line.grammar.significant': `stays “${held}”`,
      });
}
