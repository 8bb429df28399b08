import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import type { Express } from 'express';
import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { judgeInspection } from '@brackenfell/core/authenticity/inspection';
import { NUMBER_PLACES } from '@brackenfell/core/authenticity/number-against-part';
import { printChance, sayConclusion } from '@brackenfell/core/authenticity/say-conclusion';
import { MEASURED_IDS, TELL_ANSWERS } from '@brackenfell/core/authenticity/tell';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import {
  beginInspection,
  concludeInspection,
  getInspection,
  listInspections,
  noteEvidence,
  readNumber,
  type Entry,
  type Inspection,
} from '@brackenfell/contract/inspection';
import { matterOf } from '@brackenfell/contract/inspection-matter';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { changeBatch } from '../stock/move-batch.ts';
import type { EntryFrame } from '../inspection/entry-frames.ts';
import { inspectionLine } from '../inspection/present.ts';
import { addBatch, noteOnSlips, readBatches } from '../stock/batch-store.ts';
import { findSeller, SELLER_NOT_SAID } from '../stock/seller-store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { findLine, nameBatch } from '../slip/line-store.ts';
import { readBearers } from './bearer-store.ts';
import { journalView, loadInspection, NO_INSPECTION, PAID } from './load-inspection.ts';
import { addEntries, findInspection } from './inspection-store.ts';
import { chooseReference } from './paper-trail.ts';
import { findReference, readReferenceRows } from './reference-store.ts';
import {
  addConclusion,
  addInspection,
  listInspectionRows,
  lockInspection,
  setInspectionBatch,
} from '../inspection/store.ts';

/** Why an entry cannot be noted, or undefined. */
function wrongEntry(
  { pieces, content }: EntryFrame,
  { what, subject, piece, answer, value }: Pick<Entry, 'what' | 'subject' | 'piece' | 'answer' | 'value'>,
): string | undefined {
  if (piece > pieces) return `there are ${pieces} pieces`;
  const withdrawn = answer === 'withdrawn';
  switch (what) {
    case 'tell':
      if (piece === 0) return 'a tell belongs to a piece';
      if (!content?.tells.some(({ id }) => id === subject)) return 'no such tell in the reference';
      return withdrawn || (TELL_ANSWERS as readonly string[]).includes(answer) ? undefined : 'no such answer';
    case 'measure':
      if (subject !== PAID && !(MEASURED_IDS as readonly string[]).includes(subject)) return 'no such quantity';
      return withdrawn || (value !== null && value >= 0) ? undefined : 'must hold a reading';
    case 'number':
      if (subject !== 'batch' && !(NUMBER_PLACES as readonly string[]).includes(subject)) return 'no such place';
      return answer.trim() === '' ? 'must hold what was read' : undefined;
  }
}

/** Whether an entry changes more than the journal: what a number or a price says is found out by asking the catalogue. */
const rereads = ({ what, subject }: Pick<Entry, 'what' | 'subject'>): boolean =>
  what === 'number' || (what === 'measure' && subject === PAID);

async function frameOf(context: Context, trx: Writing, inspectionId: string): Promise<EntryFrame | undefined> {
  const kept = context.entryFrames.of(inspectionId);
  if (kept) return kept;
  const found = await findInspection(trx, inspectionId);
  if (!found) return undefined;
  const frame = { pieces: found.row.pieces, content: found.reference?.content };
  context.entryFrames.keep(inspectionId, frame);
  return frame;
}

export function inspectionRoutes(app: Express, context: Context): void {
  serve(app, context, listInspections, async ({ query, db }) => ({
    inspections: (await listInspectionRows(db, query)).map(inspectionLine),
  }));
  serve(app, context, getInspection, ({ params, db }) => loadInspection(context, db, params.inspectionId));

  serve(app, context, readNumber, async ({ params, db }) => ({
    parts: (await readBearers(db, params.number)).map(({ id, printed, maker, kind, worn }) => ({
      partId: id,
      printed,
      maker,
      kind,
      worn,
    })),
  }));

  serve(app, context, beginInspection, async ({ body, staff, trx }) => {
    const [part] = await readPartRows(trx, [body.partId]);
    if (!part || !isPartKind(part.kind))
      return trouble('invalid-request', 'Choose a part that can be looked at.', { partId: 'no such part' });
    const [batch] = body.batchId === null ? [] : await readBatches(trx, { batchId: body.batchId });
    if (body.batchId !== null && batch?.part_id !== part.id)
      return trouble('invalid-request', 'Choose a batch of this part.', { batchId: 'no such batch of this part' });
    const line = body.slipLineId === null ? undefined : await findLine(trx, body.slipLineId);
    if (body.slipLineId !== null && line?.part_id !== part.id)
      return trouble('invalid-request', 'Choose a line that holds this part.', { slipLineId: 'no such line' });
    const sellerId = body.sellerId ?? batch?.seller_id;
    const seller = await findSeller(trx, sellerId === undefined ? { name: SELLER_NOT_SAID } : { id: sellerId });
    if (!seller)
      return trouble('invalid-request', 'Choose a seller that is known here.', { sellerId: 'no such seller' });
    const references = await readReferenceRows(trx, { ofPart: part.id });
    const asked = body.referenceId === null ? undefined : await findReference(trx, body.referenceId);
    const inspectionId = await addInspection(trx, {
      part_id: part.id,
      seller_id: seller.id,
      channel: body.channel === 'returned' ? 'returned' : seller.channel,
      batch_id: batch?.id ?? null,
      reference_id: (asked ?? chooseReference(references, batch?.code ?? ''))?.id ?? null,
      reference_used: body.referenceUsed,
      pieces: body.pieces,
      batch_size: Math.max(batch?.quantity ?? 0, body.pieces),
      asked_for: body.askedFor,
      slip_line_id: line?.id ?? null,
      staff_id: staff.id,
    });
    return loadInspection(context, trx, inspectionId);
  });

  serve(app, context, noteEvidence, async ({ params, body, staff, trx }) => {
    const { inspectionId } = params;
    const frame = await frameOf(context, trx, inspectionId);
    if (!frame) return trouble('not-found', NO_INSPECTION);
    for (const [i, entry] of body.entries.entries()) {
      const wrong = wrongEntry(frame, entry);
      if (wrong) return trouble('invalid-request', 'Correct what is named.', { [`entries.${i}`]: wrong });
    }
    const { journal, concludedLength } = await addEntries(
      trx,
      inspectionId,
      body.entries.map((entry) => ({ ...entry, staff_id: staff.id })),
    );
    return {
      inspectionId,
      journal: journalView(journal),
      stale: concludedLength !== null && concludedLength !== journal.length,
      rereads: body.entries.some(rereads),
    };
  });

  serve(app, context, concludeInspection, async ({ params, body, staff, trx }) => {
    await lockInspection(trx, params.inspectionId);
    const inspection = await loadInspection(context, trx, params.inspectionId);
    if (isTrouble(inspection)) return inspection;
    const refused = await conclude(trx, inspection, body, staff.id);
    return refused ?? loadInspection(context, trx, params.inspectionId);
  });
}

/** Keeps what was found; holds the batch where it must not be sold, and tells the slip the pieces are on. */
async function conclude(
  trx: Writing,
  inspection: Inspection,
  asked: { hold: boolean; reason: string },
  staffId: string,
): Promise<Trouble | undefined> {
  const tells = inspection.reference?.content.tells ?? [];
  const judged = judgeInspection(matterOf(inspection));
  if (judged.band === 'not-inspected' && judged.blocks.length === 0)
    return trouble('not-allowed-now', 'Nothing was looked at yet: there is nothing to conclude.');
  const { chance } = judged.worst.judgement;
  const says = sayConclusion(judged, tells);
  await addConclusion(trx, {
    inspection_id: inspection.inspectionId,
    band: judged.band,
    bands: judged.pieces.map(({ judgement }) => judgement.band),
    chance,
    says: JSON.stringify(says),
    journal_length: inspection.journal.length,
    staff_id: staffId,
  });
  const found = `${BAND_WORDS[judged.band]}, ${printChance(chance)}${judged.blocks.length > 0 ? '; blocked' : ''}`;
  // Suspect pieces and pieces that are not what their number says do not leave the counter, whoever concludes.
  const holds = asked.hold || judged.band === 'suspect' || judged.blocks.length > 0;
  const batchId = await batchOf(trx, inspection, holds);
  if (batchId !== undefined) {
    await setInspectionBatch(trx, inspection.inspectionId, batchId);
    if (inspection.slip) await nameBatch(trx, inspection.slip.lineId, batchId);
  }
  if (inspection.slip)
    await noteOnSlips(trx, [inspection.slip.slipId], staffId, `Proof of ${inspection.part.printed}: ${found}.`);
  if (!holds || batchId === undefined) return undefined;
  const [batch] = await readBatches(trx, { batchId });
  if (isHeld(batch!.state)) return undefined;
  const reason = [asked.reason, found, ...judged.blocks].filter((text) => text !== '').join('; ');
  return changeBatch(trx, {
    batchId,
    action: 'hold',
    reason,
    staffId,
    inspectionId: inspection.inspectionId,
  });
}

/** The batch the pieces are of: the one they were taken from, one known by the code on them, or, to be held, a new one. */
async function batchOf(trx: Writing, inspection: Inspection, create: boolean): Promise<string | undefined> {
  if (inspection.batch) return inspection.batch.batchId;
  const { part, batchCode, pieces, price } = inspection;
  const sellerId = inspection.seller!.sellerId;
  const codeNormal = normalForm(batchCode);
  if (codeNormal !== '' && inspection.channel !== 'returned') {
    const known = (await readBatches(trx, { partId: part.partId })).find(
      (batch) => batch.seller_id === sellerId && normalForm(batch.code) === codeNormal,
    );
    if (known) return known.id;
  }
  if (!create) return undefined;
  return addBatch(trx, {
    partId: part.partId,
    sellerId,
    deliveryId: null,
    code: batchCode,
    codeNormal,
    quantity: pieces,
    onHand: 0,
    unitCostMinor: price?.paidMinor ?? null,
    orderedUnder: '',
  });
}
