import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import type { Express } from 'express';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import {
  evidencePackJsonSchema,
  evidencePackSchema,
  getEvidencePack,
  printEvidencePack,
} from '@brackenfell/contract/evidence-pack';
import {
  closeRecall,
  enterNotice,
  getBatch,
  addSeller,
  holdBatch,
  listBatches,
  listSellers,
  noteContact,
  settleBatch,
  type Batch,
} from '@brackenfell/contract/quarantine';
import { listInspectionRows } from '../inspection/store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { whenAsked } from '../http/when-asked.ts';
import { recordChange } from '../history/store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { makeEvidencePack } from './evidence-pack.ts';
import { printPack } from './evidence-pdf.ts';
import { changeBatch } from '../stock/move-batch.ts';
import { batchLine, batchView, noticeView, sellerRecord } from './present.ts';
import { addEvent, moveBatch, readBatches, readEvents } from '../stock/batch-store.ts';
import { addContact, addNotice, findByCode, readContacts, readNotices, readSales } from './recall-store.ts';
import { addSellerRow, readSellers } from '../stock/seller-store.ts';

async function showBatch(db: Database, batchId: string): Promise<Batch | Trouble> {
  const [row] = await readBatches(db, { batchId });
  if (!row) return trouble('not-found', 'There is no such batch.');
  return batchView(row, {
    events: await readEvents(db, batchId),
    sales: await readSales(db, batchId),
    contacts: await readContacts(db, batchId),
    inspections: await listInspectionRows(db, { batchId }),
  });
}

export function quarantineRoutes(app: Express, context: Context): void {
  serve(app, context, listBatches, async ({ query, db }) => {
    const rows = await readBatches(db, query);
    return {
      batches: rows.map(batchLine),
      more: (rows[0]?.total ?? 0) - rows.length,
      notices: (await readNotices(db)).map(noticeView),
    };
  });
  serve(app, context, getBatch, ({ params, db }) => showBatch(db, params.batchId));
  serve(app, context, listSellers, async ({ db }) => ({ sellers: (await readSellers(db)).map(sellerRecord) }));

  serve(app, context, addSeller, async ({ body, staff, trx }) => {
    const id = await addSellerRow(trx, body);
    if (id === undefined)
      return trouble('already-there', 'Choose them from the list.', { name: 'is a seller’s here already' });
    await recordChange(trx, { staffId: staff.id, subject: 'seller', subjectId: id, action: 'add', after: body });
    return sellerRecord((await readSellers(trx)).find((one) => one.id === id)!);
  });

  serve(app, context, holdBatch, async ({ params, body, staff, trx }) => {
    const refused = await changeBatch(trx, { ...params, ...body, action: 'hold', staffId: staff.id });
    return refused ?? showBatch(trx, params.batchId);
  });

  serve(app, context, settleBatch, async ({ params, body, staff, trx }) => {
    const { as: action, ...rest } = body;
    const refused = await changeBatch(trx, { ...params, ...rest, action, staffId: staff.id });
    return refused ?? showBatch(trx, params.batchId);
  });

  serve(app, context, noteContact, async ({ params, body, staff, trx }) => {
    const sales = await readSales(trx, params.batchId);
    if (!sales.some(({ line_id }) => line_id === body.lineId))
      return trouble('not-found', 'That line sold nothing of this batch.');
    await addContact(trx, { ...params, ...body, staffId: staff.id });
    return showBatch(trx, params.batchId);
  });

  serve(app, context, closeRecall, async ({ params, body, staff, trx }) => {
    const batch = await showBatch(trx, params.batchId);
    if (isTrouble(batch)) return batch;
    if (!isHeld(batch.state)) return trouble('not-allowed-now', 'The batch is for sale: there is no recall to close.');
    if (batch.toContact > 0)
      return trouble(
        'not-allowed-now',
        `${batch.toContact} of its sales are open: reach the buyer, or note that nobody can.`,
      );
    if (!(await moveBatch(trx, { ...params, version: body.version })))
      return trouble('changed-meanwhile', 'Somebody changed the batch meanwhile: look at it as it stands now.');
    await addEvent(trx, { ...params, action: 'close-recall', reason: body.reason, staffId: staff.id });
    return showBatch(trx, params.batchId);
  });

  serve(app, context, enterNotice, async ({ body, staff, trx }) => {
    const [part] = await readPartRows(trx, [body.partId]);
    if (!part) return trouble('invalid-request', 'Choose a part of this catalogue.', { partId: 'no such part' });
    const codeNormal = normalForm(body.code);
    if (codeNormal === '') return trouble('invalid-request', 'Write the batch code.', { code: 'must hold a code' });
    const noticeId = await addNotice(trx, { ...body, codeNormal, staffId: staff.id });
    for (const { id, version } of await findByCode(trx, body.partId, codeNormal)) {
      const reason = `Recall notice of ${body.from}: ${body.says}`;
      const refused = await changeBatch(trx, { batchId: id, version, action: 'notice', reason, staffId: staff.id });
      if (refused) return refused;
    }
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'recall notice',
      subjectId: noticeId,
      action: 'enter',
      after: body,
    });
    return noticeView((await readNotices(trx)).find(({ id }) => id === noticeId)!);
  });

  serve(app, context, getEvidencePack, ({ params, staff, db }) => makeEvidencePack(context, db, params.batchId, staff));
  serve(app, context, printEvidencePack, async ({ params, staff, db }) => {
    const pack = await makeEvidencePack(context, db, params.batchId, staff);
    return isTrouble(pack) ? pack : printPack(pack);
  });
  const schema = whenAsked(evidencePackJsonSchema);
  serve(app, context, evidencePackSchema, () => Promise.resolve(schema()));
}
