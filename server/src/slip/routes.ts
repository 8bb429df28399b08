import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import type { Express } from 'express';
import type { Selectable } from 'kysely';
import {
  changesWhatIsAsked,
  copiedDetails,
  detailsToWrite,
  type SentDetails,
  type SlipDetails,
} from '@brackenfell/core/slip/details';
import {
  addLine,
  changeLine,
  changeSlip,
  copySlip,
  createSlip,
  getLineTold,
  getSlip,
  listSlips,
  removeLine,
  restoreLine,
} from '@brackenfell/contract/slip';
import { endSlip, parkSlip } from '@brackenfell/contract/slip-moves';
import { packAmiss } from '@brackenfell/core/slip/line-quantity';
import { checkTitle } from '@brackenfell/core/kinds/checks-by-kind';
import type { Context } from '../context/context.ts';
import { today } from '../context/today.ts';
import type { Database } from '../db/database.ts';
import type { SlipTable } from '../db/tables/counter.ts';
import { findEngine } from '../engine/store.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { readVehicle, remembered } from '../garage-book/store.ts';
import { readBatches } from '../stock/batch-store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { judgeLinesAgain } from './judge-lines.ts';
import { summaryView } from './present.ts';
import { putKit } from './put-kit.ts';
import { putLine, readForPut } from './put-line.ts';
import { settleHold } from './settle-hold.ts';
import { showSlip } from './show-slip.ts';
import { mustBeEndable, writeOn } from './slip-change.ts';
import { listSlipRows } from './list-store.ts';
import { addSlipRow, changeSlipRow, readSlip, type SlipRow } from './store.ts';
import { changeLineRow, setRemoved, findLine, readLines, readTold } from './line-store.ts';

const COLUMNS = {
  customer: 'customer',
  phone: 'phone',
  vehicle: 'vehicle',
  cameFor: 'came_for',
  engineId: 'engine_id',
  build: 'build',
  staying: 'revision_staying',
  duty: 'duty',
  engineCount: 'engine_count',
  inHandPartId: 'in_hand_part_id',
} as const satisfies Record<keyof SlipDetails, keyof SlipTable>;

/** Columns of a slip to be written for what was sent. */
function columnsOf(sent: SentDetails): Partial<Pick<Selectable<SlipTable>, (typeof COLUMNS)[keyof SlipDetails]>> {
  const details = detailsToWrite(sent);
  const named = Object.entries(COLUMNS) as [keyof SlipDetails, string][];
  return Object.fromEntries(named.flatMap(([name, column]) => (name in details ? [[column, details[name]]] : [])));
}

const detailsOf = (row: SlipRow): SlipDetails =>
  Object.fromEntries(Object.entries(COLUMNS).map(([name, column]) => [name, row[column]])) as unknown as SlipDetails;

/** Names the first detail that points at nothing. */
async function danglingDetail(db: Database, { engineId, inHandPartId }: SentDetails): Promise<Trouble | undefined> {
  if (engineId && !(await findEngine(db, engineId)))
    return trouble('invalid-request', 'Choose an engine of this catalogue.', { engineId: 'no such engine' });
  if (inHandPartId && (await readPartRows(db, [inHandPartId])).length === 0) {
    return trouble('invalid-request', 'Choose a part of this catalogue.', { inHandPartId: 'no such part' });
  }
  return undefined;
}

export function slipRoutes(app: Express, context: Context): void {
  serve(app, context, listSlips, async ({ query, db }) => ({
    slips: (await listSlipRows(db, query)).map((row) => summaryView(row, today())),
  }));
  serve(app, context, getSlip, ({ params, db }) => showSlip(db, params.slipId));

  serve(app, context, createSlip, async ({ body: { garageVehicleId, ...body }, staff, trx }) => {
    const dangling = await danglingDetail(trx, body);
    if (dangling) return dangling;
    const vehicle = garageVehicleId === undefined ? undefined : await readVehicle(trx, garageVehicleId);
    if (garageVehicleId !== undefined && !vehicle)
      return trouble('invalid-request', 'Choose a vehicle of the garage book.', { garageVehicleId: 'no such vehicle' });
    const id = await addSlipRow(trx, {
      ...(vehicle && remembered(vehicle)),
      ...columnsOf(body),
      garage_vehicle_id: vehicle?.id ?? null,
      holder_id: staff.id,
    });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip',
      subjectId: id,
      action: 'create',
      after: columnsOf(body),
    });
    return showSlip(trx, id);
  });

  serve(app, context, changeSlip, async ({ params, body, staff, trx }) => {
    const dangling = await danglingDetail(trx, body);
    if (dangling) return dangling;
    const changed = await writeOn({ trx, params, body, staff }, 'change', { set: columnsOf(body) });
    if (isTrouble(changed)) return changed;
    const strange = body.engineId === undefined ? undefined : await settleHold(context, trx, changed);
    if (strange) return strange;
    if (changesWhatIsAsked(body)) await judgeLinesAgain(context, trx, changed, staff, { cause: 'slip', store: 'all' });
    return showSlip(trx, params.slipId);
  });

  serve(app, context, parkSlip, async ({ params, body, staff, trx }) => {
    const parked = await writeOn({ trx, params, body, staff }, 'park', { set: { state: 'parked' } });
    return isTrouble(parked) ? parked : showSlip(trx, params.slipId);
  });

  serve(app, context, endSlip, async ({ params, body, staff, trx }) => {
    const ended = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'end',
      set: { state: 'ended', end_reason: body.reason },
      unless: mustBeEndable(staff),
    });
    return isTrouble(ended) ? ended : showSlip(trx, params.slipId);
  });

  serve(app, context, copySlip, async ({ params, staff, trx }) => {
    const from = await readSlip(trx, params.slipId);
    if (!from) return trouble('not-found', 'There is no slip of that number.');
    const id = await addSlipRow(trx, { ...columnsOf(copiedDetails(detailsOf(from))), holder_id: staff.id });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip',
      subjectId: id,
      action: 'copy',
      after: { from: from.id },
    });
    const slip = (await readSlip(trx, id))!;
    for (const line of await readLines(trx, from.id)) {
      const { part_id: partId, kind, quantity } = line;
      // What would be refused today stays behind; the copy shows what is left.
      const put = { partId, kind, quantity, onTop: true, units: 'metric' } as const;
      await putLine(context, trx, slip, staff, put, await readForPut(trx, id, partId));
    }
    return showSlip(trx, id);
  });

  serve(app, context, addLine, async ({ params, body, staff, trx }) => {
    const read = await readForPut(trx, params.slipId, body.partId);
    const slip = await writeOn({ trx, params, body, staff }, 'add line', { before: read.slips[0] });
    if (isTrouble(slip)) return slip;
    const [part] = read.parts;
    const refused =
      part?.kind === 'kit'
        ? await putKit(context, trx, slip, staff, body, part.printed)
        : await putLine(context, trx, slip, staff, body, read);
    return refused ?? showSlip(trx, slip.id);
  });

  serve(app, context, changeLine, async ({ params, body, staff, trx }) => {
    const slip = await writeOn({ trx, params, body, staff }, 'change line');
    if (isTrouble(slip)) return slip;
    const line = await findLine(trx, params.lineId);
    if (line?.slip_id !== slip.id) return trouble('not-found', 'The slip has no such line.');
    const [batch] = body.batchId ? await readBatches(trx, { batchId: body.batchId }) : [];
    if (body.batchId && batch?.part_id !== line.part_id)
      return trouble('invalid-request', 'Choose a batch of this part.', { batchId: 'no such batch of this part' });
    if (isHeld(batch?.state))
      return trouble('not-allowed-now', 'That batch is in quarantine: none of it is handed over.');
    const [part] = body.quantity === undefined ? [] : await readPartRows(trx, [line.part_id]);
    const broken =
      line.kind === 'sale' && body.quantity !== undefined ? packAmiss(body.quantity, part?.pack_of ?? 1) : undefined;
    if (broken !== undefined) return trouble('invalid-request', broken, { quantity: 'whole packs' });
    const after = {
      ...(body.quantity === undefined ? {} : { quantity: body.quantity }),
      ...(body.batchId === undefined ? {} : { batch_id: body.batchId }),
    };
    if (Object.keys(after).length === 0) return trouble('invalid-request', 'Say what is to be changed.');
    await changeLineRow(trx, params.lineId, after);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip line',
      subjectId: params.lineId,
      action: 'change',
      before: { quantity: line.quantity, batch_id: line.batch_id },
      after,
    });
    return showSlip(trx, slip.id);
  });

  const lineMoves = [
    { endpoint: removeLine, action: 'remove', removing: true },
    { endpoint: restoreLine, action: 'restore', removing: false },
  ] as const;
  for (const { endpoint, action, removing } of lineMoves) {
    serve(app, context, endpoint, async ({ params, body, staff, trx }) => {
      const slip = await writeOn({ trx, params, body, staff }, `${action} line`);
      if (isTrouble(slip)) return slip;
      if (!(await setRemoved(trx, slip.id, params.lineId, removing)))
        return trouble('not-found', 'The slip has no such line.');
      await recordChange(trx, { staffId: staff.id, subject: 'slip line', subjectId: params.lineId, action });
      return showSlip(trx, slip.id);
    });
  }

  serve(app, context, getLineTold, async ({ params, db }) => {
    const told = await readTold(db, params.slipId, params.lineId);
    return told
      ? { told: told.map((finding) => ({ ...finding, title: checkTitle(finding.check) })) }
      : trouble('not-found', 'The slip has no such line, or it was not judged.');
  });
}
