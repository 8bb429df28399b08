import type { Express } from 'express';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { priorOf } from '@brackenfell/core/authenticity/prior';
import { mixedUnderOneNumber } from '@brackenfell/core/authenticity/set-integrity';
import { suggestInspection } from '@brackenfell/core/authenticity/suggest-inspection';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { getDelivery, listDeliveries, receiveDelivery, type Delivery } from '@brackenfell/contract/delivery';
import { chooseReference, judgePaper } from '../authenticity/paper-trail.ts';
import { readReferenceRows } from '../authenticity/reference-store.ts';
import { readElsewhere, readRecord } from '../authenticity/inspection-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { changeBatch } from '../stock/move-batch.ts';
import { projectSupply } from '../stock/project-supply.ts';
import { addBatch, readBatches } from '../stock/batch-store.ts';
import { findNotice } from '../quarantine/recall-store.ts';
import { findSeller } from '../stock/seller-store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { addDelivery, findDelivery, listDeliveryRows, readDeliveryLines } from './store.ts';
import { moveStock } from '../stock/store.ts';

async function showDelivery(db: Database, deliveryId: string): Promise<Delivery | Trouble> {
  const row = await findDelivery(db, deliveryId);
  if (!row) return trouble('not-found', 'There is no such delivery.');
  const batches = (await readBatches(db, { deliveryId })).sort((a, b) => Number(a.id) - Number(b.id));
  const more = await readDeliveryLines(db, deliveryId);
  const prior = priorOf(row.channel, await readRecord(db, row.seller_id));
  const lines: Delivery['lines'] = [];
  for (const batch of batches) {
    const { maker_id, kind, ordered_under, part_on_hand, inspection_id } = more.get(batch.id)!;
    const reference = chooseReference(await readReferenceRows(db, { makerId: maker_id, partKind: kind }), batch.code);
    const elsewhere = await readElsewhere(db, {
      partId: batch.part_id,
      sellerId: row.seller_id,
      batchId: batch.id,
      batchCode: batch.code,
    });
    const paper = judgePaper(
      { batchCode: batch.code, paidMinor: batch.unit_cost_minor, content: reference?.content },
      elsewhere,
    );
    lines.push({
      batchId: batch.id,
      partId: batch.part_id,
      printed: batch.printed,
      maker: batch.maker,
      quantity: batch.quantity,
      code: batch.code,
      unitCostMinor: batch.unit_cost_minor,
      orderedUnder: ordered_under,
      state: batch.state,
      onHand: batch.on_hand,
      partOnHand: part_on_hand,
      suggested: suggestInspection(prior, paper.items, batch.quantity),
      inspectionId: inspection_id,
    });
  }
  return {
    deliveryId,
    seller: row.seller,
    sellerId: row.seller_id,
    channel: row.channel,
    note: row.note,
    at: row.at.toISOString(),
    by: row.by,
    lines,
    mixed: mixedUnderOneNumber(lines),
  };
}

export function receivingRoutes(app: Express, context: Context): void {
  serve(app, context, listDeliveries, async ({ db }) => ({
    deliveries: (await listDeliveryRows(db)).map(({ id, at, ...row }) => ({
      ...row,
      deliveryId: id,
      at: at.toISOString(),
    })),
  }));
  serve(app, context, getDelivery, ({ params, db }) => showDelivery(db, params.deliveryId));

  serve(app, context, receiveDelivery, async ({ body, staff, trx }) => {
    const seller = await findSeller(trx, { id: body.sellerId });
    if (!seller)
      return trouble('invalid-request', 'Choose a seller that is known here.', { sellerId: 'no such seller' });
    const parts = new Map(
      (
        await readPartRows(
          trx,
          body.lines.map(({ partId }) => partId),
        )
      ).map((row) => [row.id, row]),
    );
    for (const [i, { partId }] of body.lines.entries())
      if (!isPartKind(parts.get(partId)?.kind ?? ''))
        return trouble('invalid-request', 'Correct the line named.', { [`lines.${i}.partId`]: 'no such part' });
    const deliveryId = await addDelivery(trx, { ...body, staffId: staff.id });
    // In one order, whatever the delivery note's: two deliveries taken in at once then never wait for each other crosswise.
    const inOrder = [...body.lines].sort((a, b) => Number(a.partId) - Number(b.partId));
    for (const line of inOrder) {
      const codeNormal = normalForm(line.code);
      const batchId = await addBatch(trx, {
        ...line,
        codeNormal,
        sellerId: seller.id,
        deliveryId,
        onHand: line.quantity,
      });
      await moveStock(trx, { ...line, batchId, why: 'received', staffId: staff.id });
      const notice = await findNotice(trx, line.partId, codeNormal);
      if (notice) {
        const reason = `Recall notice of ${notice.from_whom}: ${notice.says}`;
        await changeBatch(trx, { batchId, action: 'notice', reason, staffId: staff.id });
      }
    }
    await projectSupply(
      trx,
      inOrder.map(({ partId }) => partId),
    );
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'delivery',
      subjectId: deliveryId,
      action: 'receive',
      after: body,
    });
    return showDelivery(trx, deliveryId);
  });
}
