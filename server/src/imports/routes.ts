import type { Express } from 'express';
import {
  addMaker,
  getImport,
  importConsequences,
  getImportRows,
  listImports,
  readImportSo,
  rejectedSheet,
  stopImport,
  takeBackImport,
  takeList,
  writeImport,
  type ImportState,
} from '@brackenfell/contract/imports';
import { isFigureUse, type Column } from '@brackenfell/core/imports/columns';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { readMakers } from './held-store.ts';
import { verdictsTurned } from './verdicts-turned.ts';
import { importView, lineView, rejectedSheetOf, rowView } from './present.ts';
import { readRows } from './row-store.ts';
import {
  addImport,
  addMakerRow,
  askForWork,
  findImport,
  lockImport,
  moveTo,
  readImports,
  readSuppliers,
  rememberReading,
  stopWork,
  type ImportFound,
} from './store.ts';

const ROWS_SHOWN = 200;
const GONE = 'There is no such import.';

/** The import as the caller saw it, held; or why it cannot be gone on with. */
async function seen(
  trx: Writing,
  importId: string,
  version: number,
  from: readonly ImportState[],
): Promise<ImportFound | Trouble> {
  const list = await lockImport(trx, importId);
  if (!list) return trouble('not-found', GONE);
  if (list.version !== version)
    return trouble('changed-meanwhile', 'The import went on meanwhile: look at it as it stands now.');
  if (!from.includes(list.state))
    return trouble('not-allowed-now', `It is ${list.state.replace('-', ' ')}: that cannot be done now.`);
  return list;
}

/** How columns are to be read, laid over their headings; a trouble where two state the same. */
function columnsAs(
  list: ImportFound,
  wanted: readonly { use: Column['use']; unit?: Column['unit']; isUnitSaid?: boolean | undefined }[],
): readonly Column[] | Trouble {
  if (wanted.length !== list.columns.length)
    return trouble('invalid-request', 'Say of every column how it is read.', { columns: 'one for each heading' });
  const uses = wanted.map(({ use }) => use).filter((use) => use !== 'left-out');
  const twice = uses.find((use, i) => uses.indexOf(use) !== i);
  if (twice !== undefined)
    return trouble('invalid-request', 'Two columns are read as the same thing.', { columns: `${twice} stands twice` });
  if (!uses.includes('number'))
    return trouble('invalid-request', 'One column has to be the part number.', { columns: 'no part number' });
  return wanted.map(({ use, unit, isUnitSaid }, i) => ({
    heading: list.columns[i]!.heading,
    use,
    ...(isFigureUse(use) ? { unit: unit ?? 'mm', isUnitSaid } : {}),
  }));
}

export function importRoutes(app: Express, context: Context): void {
  serve(app, context, listImports, async ({ db }) => ({
    imports: (await readImports(db)).map(lineView),
    suppliers: await readSuppliers(db),
  }));

  serve(app, context, importConsequences, async ({ params: { importId }, db }) => {
    const list = await findImport(db, importId);
    if (!list) return trouble('not-found', GONE);
    return verdictsTurned(context, db, list);
  });

  serve(app, context, addMaker, async ({ body: { name }, staff, trx }) => {
    const makerId = await addMakerRow(trx, name);
    if (makerId === undefined) return trouble('already-there', 'Sort the list again: a maker is called so already.');
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'maker',
      subjectId: makerId,
      action: 'add',
      after: { name },
    });
    return { makerId, name };
  });

  serve(app, context, takeList, async ({ query, bytes, staff, trx }) => {
    if (bytes.length === 0) return trouble('invalid-request', 'The file is empty.', { fileName: 'has no bytes' });
    const id = await addImport(trx, { ...query, bytes, staffId: staff.id });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'import',
      subjectId: id,
      action: 'taken in',
      after: { supplier: query.supplier, fileName: query.fileName },
    });
    return importView(trx, (await findImport(trx, id))!);
  });

  serve(app, context, getImport, async ({ params, db }) => {
    const list = await findImport(db, params.importId);
    return list ? importView(db, list) : trouble('not-found', GONE);
  });

  serve(app, context, getImportRows, async ({ params, query, db }) => {
    const rows = await readRows(db, params.importId, query.after - 1, ROWS_SHOWN + 1, query.heap);
    return { rows: rows.slice(0, ROWS_SHOWN).map(rowView), hasMore: rows.length > ROWS_SHOWN };
  });

  serve(app, context, readImportSo, async ({ params, body, staff, trx }) => {
    const list = await seen(trx, params.importId, body.version, ['sorted', 'failed']);
    if (isTrouble(list)) return list;
    if (list.whole)
      return trouble('not-allowed-now', 'A whole catalogue has no columns: it says itself what each line is.');
    if (list.row_count === 0) return trouble('not-allowed-now', 'It could not be read: send the file anew.');
    const columns = body.columns ? columnsAs(list, body.columns) : list.columns;
    if (isTrouble(columns)) return columns;
    const ofMaker = body.ofMaker === undefined ? list.of_maker : body.ofMaker;
    if (ofMaker !== null && !(await readMakers(trx)).some(({ id }) => id === ofMaker))
      return trouble('invalid-request', 'No maker is called so here.', { ofMaker: 'no maker of the catalogue' });
    await rememberReading(trx, list.supplier, { columns, ofMaker });
    await moveTo(trx, list.id, 'sorting', {
      columns: JSON.stringify(columns),
      is_complete: body.isComplete ?? list.is_complete,
      new_kind: body.newKind === undefined ? list.new_kind : body.newKind,
      of_maker: ofMaker,
      outcome: null,
    });
    await askForWork(trx, list.id, staff.id);
    return importView(trx, (await findImport(trx, list.id))!);
  });

  /** From one state on to the next, by a worker. */
  const onwards = async (
    trx: Writing,
    staffId: string,
    importId: string,
    version: number,
    [from, to, action]: readonly [from: ImportState, to: ImportState, action: string],
  ) => {
    const list = await seen(trx, importId, version, [from]);
    if (isTrouble(list)) return list;
    if (to === 'taking-back' && list.whole)
      return trouble(
        'not-allowed-now',
        'A whole catalogue is not taken back in one step: what came after rests on it.',
      );
    if (to === 'writing' && (list.counts?.new ?? 0) + (list.counts?.changed ?? 0) === 0)
      return trouble('not-allowed-now', 'There is nothing to write: every row is the same, or waits.');
    await moveTo(trx, importId, to, { outcome: null });
    await askForWork(trx, importId, staffId);
    await recordChange(trx, { staffId, subject: 'import', subjectId: importId, action, after: list.counts });
    return importView(trx, (await findImport(trx, importId))!);
  };
  serve(app, context, writeImport, ({ params, body, staff, trx }) =>
    onwards(trx, staff.id, params.importId, body.version, ['sorted', 'writing', 'written']),
  );
  serve(app, context, takeBackImport, ({ params, body, staff, trx }) =>
    onwards(trx, staff.id, params.importId, body.version, ['written', 'taking-back', 'taken back']),
  );

  serve(app, context, stopImport, async ({ params, trx }) => {
    const list = await lockImport(trx, params.importId);
    if (!list) return trouble('not-found', GONE);
    await stopWork(trx, list);
    return importView(trx, (await findImport(trx, list.id))!);
  });

  serve(app, context, rejectedSheet, async ({ params, db }) => {
    const list = await findImport(db, params.importId);
    return list ? rejectedSheetOf(db, list) : trouble('not-found', GONE);
  });
}
