import type { Express } from 'express';
import { addGapReading, withdrawGapReading } from '@brackenfell/contract/set-up';
import type { Context } from '../context/context.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { storeGap, withdrawGaps } from './gap-store.ts';
import { findLine } from './line-store.ts';
import { showSlip } from './show-slip.ts';
import { writeOn } from './slip-change.ts';

const NO_SUCH_LINE = trouble('not-found', 'The slip has no such line.');

/** A line of plugs on this slip, with that piece in it; or why it is none. */
function mustHavePiece(line: Awaited<ReturnType<typeof findLine>>, slipId: string, piece: number): Trouble | undefined {
  if (line?.slip_id !== slipId) return NO_SUCH_LINE;
  return piece > line.quantity
    ? trouble('invalid-request', `There are ${line.quantity} of it on the slip.`, { piece: 'no such piece' })
    : undefined;
}

/** The gaps of the plugs on a slip, piece by piece, before and after they were set. */
export function gapRoutes(app: Express, context: Context): void {
  serve(app, context, addGapReading, async ({ params: { slipId, lineId }, body, staff, trx }) => {
    const { version, device, ...reading } = body;
    const refused = mustHavePiece(await findLine(trx, lineId), slipId, reading.piece);
    if (refused) return refused;
    const slip = await writeOn({ trx, params: { slipId }, body: { version }, staff }, `gap of plug ${reading.piece}`);
    if (isTrouble(slip)) return slip;
    await storeGap(trx, { ...reading, lineId, device: device ?? null, staffId: staff.id });
    return showSlip(trx, slipId);
  });

  serve(app, context, withdrawGapReading, async ({ params: { slipId, lineId }, body, staff, trx }) => {
    const { version, piece, which } = body;
    const refused = mustHavePiece(await findLine(trx, lineId), slipId, piece);
    if (refused) return refused;
    const slip = await writeOn(
      { trx, params: { slipId }, body: { version }, staff },
      `gap of plug ${piece} taken back`,
    );
    if (isTrouble(slip)) return slip;
    if ((await withdrawGaps(trx, { lineId, piece, which })) === 0)
      return trouble('not-found', 'Nothing was read of that plug.');
    return showSlip(trx, slipId);
  });
}
