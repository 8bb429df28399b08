import type { Express } from 'express';
import { isPartKind, type PartKind } from '@brackenfell/core/fitment/part-kinds';
import {
  addLine,
  addNote,
  changeLine,
  changeSlip,
  closeSlip,
  createSlip,
  getSlip,
  listSlips,
  parkSlip,
  removeLine,
  reopenSlip,
  restoreLine,
  takeOverSlip,
} from '@brackenfell/contract/slip';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { findEngine } from '../engine/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import type { JudgedCandidate, JudgedEngine } from '../tray/judge-plugs.ts';
import { readPartRows } from '../tray/store.ts';
import { judgeForSlip, judgeLinesAgain, storeJudgement } from './judge-lines.ts';
import { summaryView } from './present.ts';
import { showSlip } from './show-slip.ts';
import { readBatches } from '../quarantine/batch-store.ts';
import { giveBack, takeFromStock } from '../receiving/move-stock.ts';
import { changeSlipRow, findLine, listSlipRows, readLines, type SlipRow } from './store.ts';
import { recordChange } from '../history/store.ts';

const notWhile = (states: readonly SlipRow['state'][], doing: string) => (slip: SlipRow) =>
  states.includes(slip.state)
    ? trouble('not-allowed-now', `Slip ${slip.docket} is ${slip.state}: ${doing}.`)
    : undefined;
const mustBeOpen = notWhile(['closed', 'parked'], 'take it up or reopen it first');

interface Details {
  readonly customer?: string | undefined;
  readonly vehicle?: string | undefined;
  readonly cameFor?: string | undefined;
  readonly engineId?: string | null | undefined;
  readonly inHandPartId?: string | null | undefined;
  readonly build?: string | null | undefined;
  readonly duty?: string | undefined;
  readonly engineCount?: number | undefined;
  readonly staying?: string | null | undefined;
}

/** Columns of a slip from what was sent, leaving out what was not. */
function columnsOf({ customer, vehicle, cameFor, engineId, inHandPartId, build, duty, engineCount, staying }: Details) {
  return {
    ...(customer === undefined ? {} : { customer }),
    ...(vehicle === undefined ? {} : { vehicle }),
    ...(cameFor === undefined ? {} : { came_for: cameFor }),
    // Another engine has other builds.
    ...(engineId === undefined ? {} : { engine_id: engineId, build: null, revision_staying: null }),
    ...(build === undefined ? {} : { build }),
    ...(duty === undefined ? {} : { duty }),
    ...(staying === undefined ? {} : { revision_staying: staying }),
    ...(engineCount === undefined ? {} : { engine_count: engineCount }),
    ...(inHandPartId === undefined ? {} : { in_hand_part_id: inHandPartId }),
  };
}

/** Names the first detail that points at nothing. */
async function danglingDetail(db: Database, { engineId, inHandPartId }: Details): Promise<Trouble | undefined> {
  if (engineId && !(await findEngine(db, engineId)))
    return trouble('invalid-request', 'Choose an engine of this catalogue.', { engineId: 'no such engine' });
  if (inHandPartId && (await readPartRows(db, [inHandPartId])).length === 0) {
    return trouble('invalid-request', 'Choose a part of this catalogue.', { inHandPartId: 'no such part' });
  }
  return undefined;
}

/** One for each place served in each engine of the job; by the shop's rule a spare with the plugs. */
function usualQuantity(
  kind: PartKind,
  engines: number,
  judged: JudgedEngine | undefined,
  candidate: JudgedCandidate | undefined,
): number {
  const places = (candidate?.servedAt.length ?? 1) * (candidate ? engines : 1);
  return kind === 'plug' && candidate && judged?.ruling.rules.sparePolicy === 'one-spare' ? places + 1 : places;
}

export function slipRoutes(app: Express, context: Context): void {
  serve(app, context, listSlips, async ({ query, db }) => ({
    slips: (await listSlipRows(db, query.state)).map(summaryView),
  }));
  serve(app, context, getSlip, ({ params, db }) => showSlip(db, params.slipId));

  serve(app, context, createSlip, async ({ body, staff, trx }) => {
    const dangling = await danglingDetail(trx, body);
    if (dangling) return dangling;
    const { id } = await trx
      .insertInto('slip')
      .values({ ...columnsOf(body), holder_id: staff.id })
      .returning('id')
      .executeTakeFirstOrThrow();
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
    const changed = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'change',
      set: columnsOf(body),
      unless: mustBeOpen,
    });
    if (isTrouble(changed)) return changed;
    const asksAnew = [body.engineId, body.build, body.duty, body.staying].some((said) => said !== undefined);
    if (asksAnew) await judgeLinesAgain(context, trx, changed, staff, { cause: 'slip', store: 'all' });
    return showSlip(trx, params.slipId);
  });

  const moves = [
    { endpoint: parkSlip, action: 'park', state: 'parked', holder: false, unless: mustBeOpen },
    {
      endpoint: takeOverSlip,
      action: 'take over',
      state: 'open',
      holder: true,
      unless: notWhile(['closed'], 'reopen it first'),
    },
    {
      endpoint: closeSlip,
      action: 'close',
      state: 'closed',
      holder: false,
      unless: notWhile(['closed'], 'it is closed already'),
    },
    {
      endpoint: reopenSlip,
      action: 'reopen',
      state: 'open',
      holder: true,
      unless: notWhile(['open', 'parked'], 'it is not closed'),
    },
  ] as const;
  for (const { endpoint, action, state, holder, unless } of moves) {
    serve(app, context, endpoint, async ({ params, body, staff, trx }) => {
      const set = { state, ...(holder ? { holder_id: staff.id } : {}) };
      const changed = await changeSlipRow(trx, {
        slipId: params.slipId,
        version: body.version,
        staffId: staff.id,
        action,
        set,
        unless,
      });
      if (isTrouble(changed)) return changed;
      if (action === 'close') await takeFromStock(trx, changed.id, staff.id);
      if (action === 'reopen') await giveBack(trx, changed.id, staff.id);
      return showSlip(trx, params.slipId);
    });
  }

  serve(app, context, addLine, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'add line',
      unless: mustBeOpen,
    });
    if (isTrouble(slip)) return slip;
    const [part] = await readPartRows(trx, [body.partId]);
    if (!part || !isPartKind(part.kind))
      return trouble('invalid-request', 'Choose a part that can be handed over.', { partId: 'no such part' });
    const judged =
      slip.engine_id === null
        ? undefined
        : await judgeForSlip(context, trx, { ...slip, engine_id: slip.engine_id }, await readLines(trx, slip.id), {
            kind: part.kind,
            partIds: [part.id],
            positionId: body.positionId,
            units: body.units,
          });
    if (slip.engine_id !== null && !judged)
      return trouble('invalid-request', 'The slip’s engine takes no such part, or not there.', {
        positionId: 'no such position',
      });
    const candidate = judged?.candidates[0];
    if (candidate?.judgement.verdict === 'refuse' && body.kind === 'sale') {
      return trouble(
        'not-allowed-now',
        'It is refused for this engine. It can be noted as the customer’s own part, not sold.',
      );
    }
    const line = await trx
      .insertInto('slip_line')
      .values({
        slip_id: slip.id,
        part_id: part.id,
        kind: body.kind,
        quantity: body.quantity ?? usualQuantity(part.kind, slip.engine_count, judged, candidate),
        unit_price_minor: body.kind === 'sale' ? part.each_minor : null,
        positions: [...(candidate?.servedAt ?? [])],
        removed_at: null,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    if (judged && candidate) await storeJudgement(trx, line.id, staff, judged, candidate, null);
    // The other half of a pair is told by what now stands beside it.
    if (part.kind === 'cap' || part.kind === 'rotor')
      await judgeLinesAgain(context, trx, slip, staff, {
        cause: 'slip',
        kinds: [part.kind === 'cap' ? 'rotor' : 'cap'],
        store: 'changed',
      });
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip line',
      subjectId: line.id,
      action: 'add',
      after: { part: part.printed, kind: body.kind },
    });
    return showSlip(trx, slip.id);
  });

  serve(app, context, changeLine, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'change line',
      unless: mustBeOpen,
    });
    if (isTrouble(slip)) return slip;
    const line = await findLine(trx, params.lineId);
    if (line?.slip_id !== slip.id) return trouble('not-found', 'The slip has no such line.');
    const [batch] = body.batchId ? await readBatches(trx, { batchId: body.batchId }) : [];
    if (body.batchId && batch?.part_id !== line.part_id)
      return trouble('invalid-request', 'Choose a batch of this part.', { batchId: 'no such batch of this part' });
    if (batch?.state === 'held' || batch?.state === 'confirmed')
      return trouble('not-allowed-now', 'That batch is in quarantine: none of it is handed over.');
    const after = {
      ...(body.quantity === undefined ? {} : { quantity: body.quantity }),
      ...(body.batchId === undefined ? {} : { batch_id: body.batchId }),
    };
    if (Object.keys(after).length === 0) return trouble('invalid-request', 'Say what is to be changed.');
    await trx.updateTable('slip_line').set(after).where('id', '=', params.lineId).execute();
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
      const slip = await changeSlipRow(trx, {
        slipId: params.slipId,
        version: body.version,
        staffId: staff.id,
        action: `${action} line`,
        unless: mustBeOpen,
      });
      if (isTrouble(slip)) return slip;
      const changed = await trx
        .updateTable('slip_line')
        .set({ removed_at: removing ? new Date() : null })
        .where('id', '=', params.lineId)
        .where('slip_id', '=', slip.id)
        .where('removed_at', removing ? 'is' : 'is not', null)
        .returning('id')
        .executeTakeFirst();
      if (!changed) return trouble('not-found', 'The slip has no such line.');
      await recordChange(trx, { staffId: staff.id, subject: 'slip line', subjectId: params.lineId, action });
      return showSlip(trx, slip.id);
    });
  }

  serve(app, context, addNote, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'note',
    });
    if (isTrouble(slip)) return slip;
    await trx.insertInto('slip_note').values({ slip_id: slip.id, staff_id: staff.id, text: body.text }).execute();
    return showSlip(trx, slip.id);
  });
}
