import type { Express } from 'express';
import { heldUntil, isOver, type SlipState } from '@brackenfell/core/slip/slip-states';
import { whyNotMove } from '@brackenfell/core/slip/who-may';
import { counted } from '@brackenfell/core/words/counted';
import {
  collectPart,
  collectSlip,
  orderSlip,
  quoteSlip,
  readySlip,
  takeOverSlip,
} from '@brackenfell/contract/slip-moves';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import { today } from '../context/today.ts';
import type { Writing } from '../db/database.ts';
import { rememberFitted } from '../garage-book/fit-store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { recordChange } from '../history/store.ts';
import { takeFromStock } from '../stock/take-from-stock.ts';
import { readLines } from './line-store.ts';
import { showSlip } from './show-slip.ts';
import { hindered, mustBeTakable } from './slip-change.ts';
import { openOf } from './standing.ts';
import { priceAnew, splitRest } from './move-store.ts';
import { addNoteRow, changeSlipRow, lockForSale, readSlip, type SlipRow } from './store.ts';

interface Move {
  readonly params: { readonly slipId: string };
  readonly body: { readonly version: number };
  readonly staff: Staff;
  readonly trx: Writing;
}

const mayMove = (staff: Staff, to: SlipState) => (slip: SlipRow) =>
  hindered(whyNotMove({ ...slip, holderId: slip.holder_id, heldUntil: slip.held_until }, staff, to, today()));

/** The slip as it stands, locked with what it sells, if it may become that; what is open on it keeps it from the shelf. */
async function forSale({ params: { slipId }, staff, trx }: Move, to: 'ready' | 'collected', isPart = false) {
  await lockForSale(trx, slipId);
  const slip = await readSlip(trx, slipId);
  if (!slip) return trouble('not-found', 'There is no slip of that number.');
  const refused = mayMove(staff, to)(slip);
  if (refused) return refused;
  const lines = await readLines(trx, slipId);
  const open = openOf(lines).filter(({ kind }) => !isPart || kind !== 'not-on-shelf');
  return open.length > 0 ? { ...trouble('not-collected', open.map(({ says }) => says).join(' ')), open } : lines;
}

const move = (
  { params: { slipId }, body: { version }, staff, trx }: Move,
  to: SlipState,
  until: string | null,
): Promise<SlipRow | Trouble> =>
  changeSlipRow(trx, {
    slipId,
    version,
    staffId: staff.id,
    action: to === 'collected' ? 'collect' : to,
    set: { state: to, held_until: until },
    unless: mayMove(staff, to),
  });

async function collect(call: Move): Promise<SlipRow | Trouble> {
  const { staff, trx } = call;
  const checked = await forSale(call, 'collected');
  if (isTrouble(checked)) return checked;
  const collected = await move(call, 'collected', null);
  if (isTrouble(collected)) return collected;
  await takeFromStock(trx, collected.id, staff.id);
  await rememberFitted(trx, collected, staff.id);
  return collected;
}

/** A slip through its day: quoted, ordered, ready, collected whole or in part, taken up again. */
export function slipMoveRoutes(app: Express, context: Context): void {
  const steps = [
    { endpoint: quoteSlip, to: 'quoted', isHeld: true },
    { endpoint: orderSlip, to: 'ordered', isHeld: false },
  ] as const;
  for (const { endpoint, to, isHeld } of steps)
    serve(app, context, endpoint, async (call) => {
      const slip = await move(call, to, isHeld ? heldUntil(today()) : null);
      if (isTrouble(slip)) return slip;
      const lines = await readLines(call.trx, slip.id);
      if (!lines.some(({ kind }) => kind === 'sale'))
        return trouble('not-allowed-now', 'Nothing on it is sold: put a part down first.');
      return showSlip(call.trx, slip.id);
    });

  serve(app, context, readySlip, async (call) => {
    const checked = await forSale(call, 'ready');
    if (isTrouble(checked)) return checked;
    const slip = await move(call, 'ready', heldUntil(today()));
    return isTrouble(slip) ? slip : showSlip(call.trx, slip.id);
  });

  serve(app, context, collectSlip, async (call) => {
    const slip = await collect(call);
    return isTrouble(slip) ? slip : showSlip(call.trx, slip.id);
  });

  serve(app, context, collectPart, async (call) => {
    const { params, body, staff, trx } = call;
    const lines = await forSale(call, 'collected', true);
    if (isTrouble(lines)) return lines;
    const sold = lines.filter(({ kind }) => kind === 'sale');
    const now = new Map(body.lines.map(({ lineId, quantity }) => [lineId, quantity]));
    if (
      body.lines.some(({ lineId, quantity }) => !sold.some((line) => line.id === lineId && line.quantity >= quantity))
    )
      return trouble('invalid-request', 'Collect no more of a line than is on it.', { lines: 'not on the slip' });
    const rest = sold.flatMap((line) => {
      const left = line.quantity - (now.get(line.id) ?? 0);
      return left === 0 ? [] : [{ line, left }];
    });
    if (rest.length === 0)
      return trouble('invalid-request', 'Nothing is left for later: collect it whole.', { lines: 'all of it' });
    // It is at the counter of whoever hands it over while what stays is taken off; then the rest of it is sold whole.
    const before = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'collect part',
      set: { state: 'open', held_until: null, holder_id: staff.id },
      unless: mayMove(staff, 'collected'),
    });
    if (isTrouble(before)) return before;
    const split = await splitRest(trx, before, rest, staff.id);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'slip',
      subjectId: split.id,
      action: 'split',
      after: { from: before.id },
    });
    const collected = await collect({ ...call, body: { version: before.version } });
    if (isTrouble(collected)) return collected;
    const says = `Collected in part: ${counted(rest.length, 'line')} left for slip ${split.docket}.`;
    await addNoteRow(trx, { slip_id: collected.id, staff_id: staff.id, text: says });
    return showSlip(trx, collected.id);
  });

  serve(app, context, takeOverSlip, async ({ params, body, staff, trx }) => {
    const before = await readSlip(trx, params.slipId);
    const taken = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'take over',
      set: { state: 'open', holder_id: staff.id, held_until: null },
      unless: mustBeTakable(staff),
    });
    if (isTrouble(taken)) return taken;
    // A quote's prices hold to its day; after it the slip is priced anew, and that is told.
    if (before?.state === 'quoted' && isOver(before.held_until, today())) {
      const changed = await priceAnew(trx, taken.id);
      const text = `The quote’s day is past: ${changed === 0 ? 'no price has changed' : `${counted(changed, 'line')} priced anew`}.`;
      await addNoteRow(trx, { slip_id: taken.id, staff_id: staff.id, text });
    }
    return showSlip(trx, params.slipId);
  });
}
